import { createBrowserRouter, Navigate, Outlet } from 'react-router';
import { jobLayout, jobList, jobViews } from './early';
import { Gate } from './people/gate';
import { lazyPart } from './shell/lazy-part';
import { NotFound } from './shell/not-found';
import { RouteTrouble } from './shell/trouble';
import type { ComponentType } from 'react';

/**
 * A view at an address. Its code is loaded when it is first opened, while the previous view stays; the pages cached for
 * a reload without the server include all of them. An error in a view leaves everything around it standing.
 */
const view = (path: string, fetchView: () => Promise<ComponentType>) => ({
  path,
  errorElement: <RouteTrouble />,
  lazy: async () => ({ Component: await fetchView().catch(() => lazyPart(path, fetchView)) }),
});

export const router = createBrowserRouter([
  // A customer reads an offer behind a secret, without signing in.
  view('/offer/:secret', async () => (await import('./offer/customer-view')).CustomerView),
  {
    element: (
      <Gate>
        <Outlet />
      </Gate>
    ),
    errorElement: <RouteTrouble />,
    children: [
      view('/', jobList),
      view('/firm', async () => (await import('./firm/firm-view')).FirmView),
      view('/due', async () => (await import('./after/due-view')).DueView),
      view('/practice', async () => (await import('./practice/practice-list')).PracticeList),
      view('/practice/:level/:seed', async () => (await import('./practice/practice-view')).PracticeView),
      {
        ...view('/jobs/:jobId', jobLayout),
        children: [
          { index: true, element: <Navigate to="sheet" replace /> },
          ...Object.entries(jobViews).map(([path, fetchView]) => view(path, fetchView)),
        ],
      },
      { path: '*', element: <NotFound /> },
    ],
  },
]);

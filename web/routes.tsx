import { Suspense } from 'react';
import { BrowserRouter, matchRoutes, Navigate, Outlet, useRoutes, type RouteObject } from 'react-router';
import { jobLayout, jobList, jobViews } from './early';
import { Gate } from './people/gate';
import { lateView } from './shell/lazy-part';
import type { ComponentType } from 'react';

/** A view at an address; its handle loads its code. The pages cached for a reload without the server include all of them. */
function view(path: string, fetchView: () => Promise<ComponentType>) {
  const { View, load } = lateView(path, fetchView);
  return { path, element: <View />, handle: load };
}

const routes: RouteObject[] = [
  // A customer reads an offer behind a secret, without signing in.
  view('/offer/:secret', async () => (await import('./offer/customer-view')).CustomerView),
  {
    element: (
      <Gate>
        <Outlet />
      </Gate>
    ),
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
      view('*', async () => (await import('./shell/not-found')).NotFound),
    ],
  },
];

/** Resolves when the code of what an address shows is here. */
export async function loadViews(pathname: string): Promise<void> {
  const matches = matchRoutes(routes, pathname) ?? [];
  await Promise.all(
    matches.map(async ({ route }) => {
      await (route.handle as (() => Promise<unknown>) | undefined)?.();
    }),
  );
}

const Routed = () => useRoutes(routes);

/** Every page at its address. A view whose code is still on its way leaves the one before it in place. */
export const Pages = () => (
  <BrowserRouter>
    <Suspense>
      <Routed />
    </Suspense>
  </BrowserRouter>
);

import { createBrowserRouter, Navigate } from 'react-router';
import { jobLayout, jobViews } from './early';
import { JobList } from './jobs/job-list';
import { NotFound } from './shell/not-found';

/** Each view is fetched when it is first opened; the pages kept for a reload without the server hold them all. */
export const router = createBrowserRouter([
  { path: '/', element: <JobList /> },
  { path: '/firm', lazy: async () => ({ Component: (await import('./firm/firm-view')).FirmView }) },
  { path: '/due', lazy: async () => ({ Component: (await import('./after/due-view')).DueView }) },
  {
    path: '/practice',
    lazy: async () => ({ Component: (await import('./practice/practice-list')).PracticeList }),
  },
  {
    path: '/practice/:level/:seed',
    lazy: async () => ({ Component: (await import('./practice/practice-view')).PracticeView }),
  },
  {
    path: '/offer/:secret',
    lazy: async () => ({ Component: (await import('./offer/customer-view')).CustomerView }),
  },
  {
    path: '/jobs/:jobId',
    lazy: async () => ({ Component: await jobLayout() }),
    children: [
      { index: true, element: <Navigate to="sheet" replace /> },
      ...Object.entries(jobViews).map(([path, view]) => ({
        path,
        lazy: async () => ({ Component: await view() }),
      })),
    ],
  },
  { path: '*', element: <NotFound /> },
]);

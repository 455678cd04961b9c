import { createBrowserRouter, Navigate } from 'react-router';
import { JobList } from './jobs/job-list';
import { NotFound } from './shell/not-found';

/** Each view is fetched when it is first opened; the pages kept for a reload without the server hold them all. */
export const router = createBrowserRouter([
  { path: '/', element: <JobList /> },
  { path: '/firm', lazy: async () => ({ Component: (await import('./firm/firm-view')).FirmView }) },
  { path: '/due', lazy: async () => ({ Component: (await import('./after/due-view')).DueView }) },
  {
    path: '/offer/:secret',
    lazy: async () => ({ Component: (await import('./offer/customer-view')).CustomerView }),
  },
  {
    path: '/jobs/:jobId',
    lazy: async () => ({ Component: (await import('./shell/job-layout')).JobLayout }),
    children: [
      { index: true, element: <Navigate to="sheet" replace /> },
      { path: 'site', lazy: async () => ({ Component: (await import('./site/site-view')).SiteView }) },
      { path: 'log', lazy: async () => ({ Component: (await import('./log/log-view')).LogView }) },
      { path: 'sheet', lazy: async () => ({ Component: (await import('./sheet/sheet-view')).SheetView }) },
      { path: 'rules', lazy: async () => ({ Component: (await import('./rules/rules-view')).RulesView }) },
      {
        path: 'lengths',
        lazy: async () => ({ Component: (await import('./lengths/lengths-view')).LengthsView }),
      },
      { path: 'holes', lazy: async () => ({ Component: (await import('./holes/holes-view')).HolesView }) },
      { path: 'offer', lazy: async () => ({ Component: (await import('./offer/offer-view')).OfferView }) },
      { path: 'after', lazy: async () => ({ Component: (await import('./after/after-view')).AfterView }) },
    ],
  },
  { path: '*', element: <NotFound /> },
]);

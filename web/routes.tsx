import { createBrowserRouter, Navigate } from 'react-router';
import { AfterView } from './after/after-view';
import { DueView } from './after/due-view';
import { FirmView } from './firm/firm-view';
import { HolesView } from './holes/holes-view';
import { JobList } from './jobs/job-list';
import { LengthsView } from './lengths/lengths-view';
import { LogView } from './log/log-view';
import { RulesView } from './rules/rules-view';
import { SheetView } from './sheet/sheet-view';
import { SiteView } from './site/site-view';
import { CustomerView } from './offer/customer-view';
import { OfferView } from './offer/offer-view';
import { JobLayout } from './shell/job-layout';
import { NotFound } from './shell/not-found';

export const router = createBrowserRouter([
  { path: '/', element: <JobList /> },
  { path: '/firm', element: <FirmView /> },
  { path: '/due', element: <DueView /> },
  { path: '/offer/:secret', element: <CustomerView /> },
  {
    path: '/jobs/:jobId',
    element: <JobLayout />,
    children: [
      { index: true, element: <Navigate to="sheet" replace /> },
      { path: 'site', element: <SiteView /> },
      { path: 'log', element: <LogView /> },
      { path: 'sheet', element: <SheetView /> },
      { path: 'rules', element: <RulesView /> },
      { path: 'lengths', element: <LengthsView /> },
      { path: 'holes', element: <HolesView /> },
      { path: 'offer', element: <OfferView /> },
      { path: 'after', element: <AfterView /> },
    ],
  },
  { path: '*', element: <NotFound /> },
]);

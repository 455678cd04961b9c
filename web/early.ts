import { prefetch } from './api/prefetch';
import { claimTab } from './api/tab';

/**
 * What runs before the other scripts are parsed: this tab's name, the view being opened, and the requests the page is
 * sure to need. The build puts it in a file of its own, which runs first.
 */
export const tabClaimed = claimTab();

/** The views of a job by address; each is loaded when it is first opened. */
export const jobViews = {
  site: async () => (await import('./site/site-view')).SiteView,
  log: async () => (await import('./log/log-view')).LogView,
  sheet: async () => (await import('./sheet/sheet-view')).SheetView,
  rules: async () => (await import('./rules/rules-view')).RulesView,
  lengths: async () => (await import('./lengths/lengths-view')).LengthsView,
  holes: async () => (await import('./holes/holes-view')).HolesView,
  offer: async () => (await import('./offer/offer-view')).OfferView,
  plan: async () => (await import('./plan/plan-view')).PlanView,
  after: async () => (await import('./after/after-view')).AfterView,
} as const;
export const jobLayout = async () => (await import('./shell/job-layout')).JobLayout;

export const jobList = async () => (await import('./jobs/job-list')).JobList;

const [, first, id, view] = location.pathname.split('/');
if (first === 'jobs' && id) {
  for (const path of ['', '/view']) prefetch(`/api/jobs/${id}${path}`);
  prefetch('/api/firm');
  void jobLayout();
  void jobViews[view && view in jobViews ? (view as keyof typeof jobViews) : 'sheet']();
} else if (first === '') {
  prefetch('/api/jobs');
  void jobList();
}

import { prefetch } from './api/prefetch';
import { openStores } from './api/stores';
import { claimTab } from './api/tab';
import { drawFirstHeader } from './opening/first-header';
import { applyMode } from './theme/mode';
import type { StoredJob } from '../server/jobs/store.js';

/**
 * What runs before the other scripts are parsed: the colors and the first header, this tab's name, the view being
 * opened, and the requests the page is sure to need. The build puts it in a file of its own, which runs first.
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
const layout = () => import('./shell/job-layout');
export const jobLayout = async () => (await layout()).JobLayout;
export const jobFetch = async () => (await layout()).fetchJobOpening;

const list = () => import('./jobs/job-list');
export const jobList = async () => (await list()).JobList;
export const jobListFetch = async () => (await list()).fetchJobList;

const jobOf = (answer: Promise<Response>) =>
  answer.then((its) => (its.ok ? (its.json() as Promise<StoredJob>) : undefined)).catch(() => undefined);

applyMode();
const [, first, id, view] = location.pathname.split('/');
if (first === 'jobs' && id) {
  drawFirstHeader(jobOf(prefetch(`/api/jobs/${id}`)));
  void prefetch(`/api/jobs/${id}/view`);
  void prefetch('/api/firm');
  void jobLayout();
  void jobViews[view && view in jobViews ? (view as keyof typeof jobViews) : 'sheet']();
  openStores();
} else if (first !== 'offer') {
  drawFirstHeader(undefined);
  if (first === '') {
    void prefetch('/api/jobs');
    void jobList();
  }
}

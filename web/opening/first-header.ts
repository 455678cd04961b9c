import { sayDay } from '../../core/days.js';
import type { StoredJob } from '../../server/jobs/store.js';
import { lastMe, seesPrices } from '../api/last-me';
import { isOpenTo, jobTabs, shownOf } from '../shell/tabs';
import { modeNow } from '../theme/mode';
import { faces, phoneWidth, tokens, trenchPath } from '../theme/tokens';

/** What stands right of the tabs in the whole header, px. */
const rightOfTabs_px = { narrow: 89, wide: 267 };

const color = (name: string): string => tokens[name]?.[modeNow() === 'dark' ? 1 : 0] ?? '';
const isNarrow = (): boolean => window.matchMedia(phoneWidth).matches;

function element(
  name: string,
  style: Readonly<Record<string, string>>,
  ...content: (string | Node)[]
): HTMLElement {
  const made = document.createElement(name);
  Object.assign(made.style, { boxSizing: 'border-box', ...style });
  made.append(...content);
  return made;
}

/**
 * The header drawn before the scripts of the page are parsed: the mark, and the name and the views of a job once its name
 * is known. It has the look of `Header` and `JobBar`, which replace it at the first drawing; until then it is not to be
 * pressed.
 */
export function drawFirstHeader(job: Promise<StoredJob | undefined> | undefined): void {
  const header = element(
    'header',
    {
      display: 'flex',
      height: '60px',
      borderBottom: `1px solid ${color('ink')}`,
    },
    mark(),
  );
  // It covers the page, which has no styles yet.
  const cover = element(
    'div',
    {
      position: 'fixed',
      inset: '0',
      background: color('paper'),
      color: color('ink'),
      fontFamily: faces.body,
      fontSize: '15px',
      lineHeight: '1.35',
      fontVariantNumeric: 'tabular-nums slashed-zero',
    },
    header,
  );
  cover.inert = true;
  document.getElementById('root')?.replaceChildren(cover);
  void job?.then((stored) => {
    if (!stored || !cover.isConnected) return;
    if (isNarrow()) cover.append(narrowName(stored));
    else header.append(wideName(stored));
    header.append(views());
  });
}

function mark(): HTMLElement {
  const box = element('div', { padding: '18.5px 16px', borderRight: `1px solid ${color('rule')}` });
  box.innerHTML = `<svg viewBox="0 0 28 22" width="28" height="22" display="block" aria-hidden="true">
    <path d="${trenchPath}" fill="none" stroke="${color('ink')}" stroke-width="2.6" />
    <circle cx="14" cy="13" r="3.4" fill="${color('signal')}" />
  </svg>`;
  return box;
}

const oneLine = { margin: '0', overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' };

function wideName({ job }: StoredJob): HTMLElement {
  const [line] = job.lines;
  const about = [line?.name ?? line?.id, job.inspectedOn && sayDay(job.inspectedOn)]
    .filter(Boolean)
    .join(' · ');
  return element(
    'div',
    {
      flexShrink: '0',
      alignSelf: 'center',
      padding: '0 16px',
      maxWidth: window.matchMedia('(width < 64rem)').matches ? '150px' : '220px',
    },
    element(
      'h1',
      {
        ...oneLine,
        fontFamily: faces.heading,
        fontSize: '15px',
        fontWeight: '700',
        letterSpacing: '-0.01em',
      },
      job.title,
    ),
    element('p', { ...oneLine, fontSize: '13.5px', color: color('soft') }, about),
  );
}

const narrowName = ({ job }: StoredJob): HTMLElement =>
  element(
    'h1',
    { ...oneLine, padding: '6px 12px', fontSize: '14px', fontWeight: '700', letterSpacing: '-0.01em' },
    job.title,
  );

let fitted: { readonly open: number; readonly shown: readonly number[] } | undefined;

/** The tabs that the first header shows where the tab at `open` is the open one; none before it has measured them. */
export const firstShown = (open: number): readonly number[] => (fitted?.open === open ? fitted.shown : []);

/** The tabs that fit, as `JobTabs` shows them. */
function views(): HTMLElement {
  const right_px = isNarrow() ? rightOfTabs_px.narrow : rightOfTabs_px.wide;
  const tabs = jobTabs.filter(([to]) => isOpenTo(to, seesPrices(lastMe())));
  const open = tabs.findIndex(([to]) => location.pathname.endsWith(`/${to}`));
  const row = element(
    'nav',
    { display: 'flex', flex: '1', minWidth: '0', overflow: 'hidden', marginRight: `${right_px}px` },
    ...tabs.map(([, name], i) => tab(name, i === open)),
  );
  const all = [...row.children];
  const fit = () => {
    row.replaceChildren(...all);
    const widths = all.map((each) => Math.ceil(each.getBoundingClientRect().width));
    const shown = shownOf(widths, row.clientWidth, open);
    fitted = { open, shown };
    if (shown.length < all.length)
      row.replaceChildren(...shown.flatMap((i) => all[i] ?? []), tab('More', false));
  };
  // Measured where it stands, which asks for its font, and again in that font.
  requestAnimationFrame(() => {
    fit();
    void document.fonts.ready.then(fit);
  });
  return row;
}

const tab = (name: string, open: boolean): HTMLElement =>
  element(
    'span',
    {
      display: 'flex',
      alignItems: 'center',
      flexShrink: '0',
      padding: '0 10px',
      whiteSpace: 'nowrap',
      fontFamily: faces.heading,
      fontWeight: '600',
      color: color(open ? 'ink' : 'soft'),
      borderTop: '5px solid transparent',
      borderBottom: `5px solid ${open ? color('signal') : 'transparent'}`,
    },
    name,
  );

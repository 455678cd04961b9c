import { eachCandidate, hasTrait, Trait } from '../methods/candidates.js';
import type { Job } from '../job/schema.js';
import { methodBit, methodRegistry, methodRow } from '../methods/index.js';
import { byte, num, over } from '../search/columns.js';
import { readyJob } from '../solve/ready.js';
import { actionsOf } from '../test/book/actions.js';
import { carriedBy, creditFor, insertable } from '../test/book/carried.js';
import { dutiesOf } from '../test/book/duties.js';
import {
  aloneCost,
  areApart,
  digEnd,
  dug,
  endCost,
  isClosed,
  pitAt,
  type BookLine,
} from '../test/book/ground.js';
import { bookOf, gapCells, hundredths, pitHeld, visitCost } from '../test/book/programme.js';
import { randomJob } from '../test/random-job.js';
import { creditOf, creditsOf } from './carried.js';
import { prepare, uncuredWeight, type Prepared } from './prepare.js';

/**
 * Every number that the search weighs, one by one, against calculations §3 to §10 written again (`core/test/book`). The
 * integer program holds the whole to HiGHS on short lines; this holds the parts on longer ones.
 */
const lines = Array.from({ length: 48 }, (_, i) => i + 1).flatMap((seed) => {
  const longest = seed % 8 === 0 ? 45 : 24;
  const options = {
    length_ft: [8, longest] as [number, number],
    findings: 2 + (seed % 6),
    lines: 1 + (seed % 2),
  };
  const { lines: all, rules, prices } = readyJob(withRarer(randomJob(seed, options), seed));
  return all.map(({ model, condition }) => {
    const prepared = prepare({ model, condition, rules, prices, school: rules.school });
    return { seed, prepared, line: bookOf(prepared.possible.track) };
  });
});

/** What random jobs seldom have: something that sticks in far enough, and a crack longer than one action need cover. */
function withRarer(job: Job, seed: number): Job {
  if (seed % 4 !== 0) return job;
  const rarer = [
    { id: 'tap', kind: 'finding', finding: 'intrusion', reading_ft: 3, percent: 28 },
    { id: 'long', kind: 'finding', finding: 'crack', form: 'along', reading_ft: 4, to_ft: 17 },
  ] as const;
  return {
    ...job,
    lines: job.lines.map((line) => ({
      ...line,
      runs: line.runs.map((run) => ({ ...run, entries: [...run.entries, ...rarer] })),
    })),
  };
}

type Value = number | string | boolean | undefined;
type Same = (what: string, ours: Value, books: Value) => void;

const isSame = (one: Value, other: Value): boolean =>
  one === other || (typeof one === 'number' && typeof other === 'number' && Math.abs(one - other) < 1e-4);

/** Compares value by value, collecting what differs: a matcher for each of a million values would take minutes. */
function onEach(compare: (same: Same, prepared: Prepared, line: BookLine) => void): () => void {
  return () => {
    const differ: string[] = [];
    let compared = 0;
    for (const { seed, prepared, line } of lines) {
      compare(
        (what, ours, books) => {
          compared++;
          if (!isSame(ours, books))
            differ.push(`random job ${seed}, ${what}: ${String(ours)}, by the book ${String(books)}`);
        },
        prepared,
        line,
      );
    }
    expect(differ.slice(0, 5)).toEqual([]);
    expect(compared).toBeGreaterThan(200);
  };
}

/** What some line has to have, so that nothing is compared only with itself. */
const met = new Map<string, number>();
const meet = (what: string, is: boolean) => void (is && met.set(what, (met.get(what) ?? 0) + 1));

test(
  'the actions offered are those the rules allow, at their cost',
  onEach((same, { possible }, line) => {
    const isLiner = (method: string) => method === 'line' || method === 'short-line';
    const ours = new Map(
      possible.candidates
        .flatMap((each) => [...eachCandidate(each)])
        .map((each) => [`${each.method} ${each.from} to ${each.to}`, each]),
    );
    const books = new Map(
      actionsOf(line, dutiesOf(line).cure).map((each) => [`${each.method} ${each.from} to ${each.to}`, each]),
    );
    for (const name of new Set([...ours.keys(), ...books.keys()])) {
      const [our, book] = [ours.get(name), books.get(name)];
      same(`${name} offered`, our !== undefined, book !== undefined);
      if (!our || !book) continue;
      const has = (trait: number) => hasTrait(our.traits, trait);
      same(name, our.cost, book.cost);
      same(`${name} exposed`, has(Trait.exposed), book.exposed);
      same(`${name} via access`, has(Trait.viaAccess), book.viaAccess);
      same(`${name} pits inside`, has(Trait.pitsInside), book.pitsInside);
      meet(book.method, true);
      meet('exposed', book.exposed);
      meet('via access', book.viaAccess);
      meet('pits inside', book.pitsInside);
      if (!isLiner(our.method)) continue;
      same(`${name} pit upstream`, has(Trait.pitUpstream), book.mayPit.from);
      same(`${name} pit downstream`, has(Trait.pitDownstream), book.mayPit.to);
      meet('no pit over what is cured', !book.mayPit.from);
    }
  }),
);

test(
  'what is left behind costs later what the book says, and what an action takes off that',
  onEach((same, { carried, possible }, line) => {
    const { cure } = dutiesOf(line);
    const actions = actionsOf(line, cure);
    const book = carriedBy(line, cure, actions);
    same('yearly', carried.yearlyCleaning, book.yearly);
    same('inspections', carried.looks, book.looks);
    same('how many', carried.findings.length, book.left.length);
    for (const [i, { finding, sum, share }] of carried.findings.entries()) {
      const left = book.left[i];
      same(`${finding.id} named`, finding.id, left?.finding.id);
      same(finding.id, sum, left?.sum);
      same(`${finding.id} by the foot`, share, left?.byFoot);
      meet('credited by the foot', share);
    }
    for (const { id } of methodRegistry.rows) {
      const creditsFrom = creditsOf(possible.track, carried, methodRow(id));
      for (const own of actions.filter(({ method }) => method === id)) {
        const credit = creditFor(line, book, own);
        // As it is counted in order of the ends of one start, and for one action by itself.
        same(`credit ${id} ${own.from} to ${own.to}`, creditsFrom(own.from)(own.to), credit);
        same(`credit of ${id}`, creditOf(possible.track, carried.findings, own), credit);
        meet('a credit', credit > 0);
      }
    }
  }),
);

test(
  'a foot of trench, its ends and its pits cost what the book says, and lie as far apart',
  onEach((same, { possible: { holes, track } }, line) => {
    for (const held of holes.protections) {
      line.cells.forEach((cell, i) => {
        const { cost, public_ft, stands } = dug(line, cell.a, cell.b, 'dig', held);
        const underRoof = isClosed(cell);
        same(`cell ${i} ${held}`, over(holes.through(held), i, i + 1), cost);
        same(`cell ${i} public`, over(holes.publicThrough, i, i + 1), public_ft);
        same(`cell ${i} closed`, over(holes.closedThrough(held), i, i + 1) > 0, !stands || underRoof);
        const barred = !stands || (underRoof && held === 'slope');
        same(`cell ${i} barred`, over(holes.barredThrough(held), i, i + 1) > 0, barred);
        meet(`held by ${held}`, stands && !underRoof);
      });
    }
    for (const index of track.boundaries) {
      compareDigs(same, holes, line, index);
      for (const kind of ['launch', 'burst'] as const) comparePits(same, holes, line, index, kind);
      for (const other of track.boundaries.filter((each) => each > index))
        same(`${index} apart from ${other}`, holes.areApart(index, other), areApart(line, index, other));
    }
  }),
);

type Holes = Prepared['possible']['holes'];

function compareDigs(same: Same, holes: Holes, line: BookLine, index: number): void {
  const x = line.breaks[index] ?? 0;
  const [from, to] = [digEnd(line, index, 'upstream'), digEnd(line, index, 'downstream')];
  same(`dig from ${index}`, holes.digFrom(index), from);
  same(`dig to ${index}`, holes.digTo(index), to);
  for (const held of holes.protections) {
    for (const [what, piece, end, side, isBeyond] of [
      ['opens', holes.openDig(index, held), from, 'downstream', from < x],
      ['closes', holes.closeDig(index, held), to, 'upstream', to > x],
    ] as const) {
      const more = isBeyond ? dug(line, Math.min(end, x), Math.max(end, x), 'dig', held) : undefined;
      const own = endCost(line, end, side, 'dig', held);
      const may = own !== undefined && more?.stands !== false;
      same(`dig ${what} ${index} ${held}`, piece?.cost, may ? own + (more?.cost ?? 0) : undefined);
      same(`dig ${what} ${index} public`, piece?.public_ft, may ? (more?.public_ft ?? 0) : undefined);
      meet('an end that cannot be sloped', own === undefined);
    }
  }
}

function comparePits(
  same: Same,
  holes: Holes,
  line: BookLine,
  index: number,
  kind: 'launch' | 'burst',
): void {
  const [pit, book] = [holes.pit(index, kind), pitAt(line, index)];
  const what = `${kind} pit ${index}`;
  same(`${what} from`, pit?.from_ft, book?.from);
  same(`${what} to`, pit?.to_ft, book?.to);
  meet('no pit here', book === undefined);
  if (!pit || !book) return;
  const alone = aloneCost(line, book.from, book.to, kind);
  const permit = (pit.alone?.public_ft ?? 0) > 1e-6 ? line.prices.permit_per_hole : 0;
  same(`${what} alone`, pit.alone && pit.alone.cost + permit, Number.isFinite(alone) ? alone : undefined);
  meet('a permit', permit > 0);
  for (const held of holes.protections) {
    const own = pitHeld({ line }, book, line.breaks[index] ?? 0, kind, held);
    same(`${what} opens ${held}`, pit.open[held]?.cost, own.opening);
    same(`${what} closes ${held}`, pit.close[held]?.cost, own.closes);
    if (own.opening !== undefined) same(`${what} wider`, pit.widerDownstream(held), own.wider.down);
    if (own.closes !== undefined) same(`${what} wider`, pit.widerUpstream(held), own.wider.up);
  }
}

test(
  'a liner is let in, and a cleaning tool, where the book says',
  onEach((same, { possible, cleaning }, line) => {
    const { breaks, boundaries } = possible.track;
    boundaries.forEach((_, stop) => {
      for (const goes of ['upstream', 'downstream'] as const) {
        const may = insertable(line, stop, goes);
        same(`${stop} ${goes}`, Boolean(possible.insertable[goes][stop]), may);
        meet(`let in ${goes}`, may);
      }
    });
    for (const start of boundaries) {
      for (const end of boundaries.filter((each, i) => each > start && i % 3 === 0)) {
        const ours = cleaning.rawCostOf(cleaning.visitTo(start, end));
        same(`visit ${start} to ${end}`, ours, visitCost(line, num(breaks, start), num(breaks, end)));
      }
    }
  }),
);

test(
  'what may be left, what must be cleaned and what nothing cures is as the book says',
  onEach((same, { problem: { fills, allowed }, possible }, line) => {
    const [leave, clean] = [methodBit('leave'), methodBit('clean')];
    gapCells({ line, pins: [] }, dutiesOf(line)).forEach((cell, i) => {
      const may = cell.uncured ? Number(fills.unsuitedOptions[i]) : Number(allowed[i]);
      same(`cell ${i} left`, (may & leave) !== 0, cell.leave);
      same(`cell ${i} cleaned`, (may & clean) !== 0, cell.clean);
      same(`cell ${i} uncured`, num(fills.unsuited, i) / uncuredWeight, hundredths(cell));
      same(`cell ${i} roots`, byte(fills.marked, i) === 1, cell.rooted);
      same(`cell ${i} cut back`, over(possible.cutBack, i, i + 1), cell.cutBack);
      if (fills.least) same(`cell ${i} old`, byte(fills.least.counted, i) === 1, cell.old);
      meet('uncured', cell.uncured);
      meet('roots', cell.rooted);
      meet('cut back', cell.cutBack > 0);
      meet('must be cleaned', !cell.leave);
    });
  }),
);

test('between them the lines have all of it', () => {
  const all = [
    ...['spot', 'open-cut', 'regrade', 'line', 'short-line', 'burst'],
    ...[
      'exposed',
      'via access',
      'pits inside',
      'no pit over what is cured',
      'credited by the foot',
      'a credit',
    ],
    ...['held by none', 'held by slope', 'held by shore', 'held by shield', 'an end that cannot be sloped'],
    ...['no pit here', 'a permit', 'let in upstream', 'let in downstream'],
    ...['uncured', 'roots', 'cut back', 'must be cleaned'],
  ];
  expect(all.filter((what) => (met.get(what) ?? 0) < 3)).toEqual([]);
});

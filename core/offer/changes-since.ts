import { fieldWord } from '../edits/say.js';
import { sameJson } from '../edits/merge.js';
import { pricesInForce } from '../job/prices.js';
import { rulesInForce } from '../job/rules.js';
import type { Entry, PlainJob } from '../job/schema.js';
import { namesOn, sayWhat } from '../speech/say.js';
import { labelOf } from './labels.js';
import { frameOf } from '../survey/frames.js';

/** Differences between a former and the current job in plain words: readings, lines, rules and rates. */
export function changesSince(was: PlainJob, is: PlainJob): string[] {
  return [
    // A rate or rule added by a later version of the program was never part of the agreement.
    ...tableChanges('rate', pricesInForce(was.prices), pricesInForce(is.prices)),
    ...tableChanges('rule', rulesInForce(was.rules), rulesInForce(is.rules)),
    ...(sameJson(was.site, is.site) ? [] : ['Site information']),
    ...lineChanges(was, is),
  ];
}

function tableChanges(
  what: string,
  was: object | undefined,
  is: object | undefined,
  say: (field: string) => string = labelOf,
): string[] {
  const [one, other] = [was ?? {}, is ?? {}] as [Record<string, unknown>, Record<string, unknown>];
  return [...new Set([...Object.keys(one), ...Object.keys(other)])]
    .filter((field) => !sameJson(one[field], other[field]))
    .map((field) => `The ${what} “${say(field)}”`);
}

function lineChanges(was: PlainJob, is: PlainJob): string[] {
  const ids = [...new Set([...was.lines, ...is.lines].map(({ id }) => id))];
  return ids.flatMap((id) => {
    const [old, now] = [was, is].map((job) => job.lines.find((line) => line.id === id));
    const name = now?.name ?? old?.name ?? id;
    if (!old) return [`${name} was added`];
    if (!now) return [`${name} was removed`];
    const { runs: _oldRuns, ...oldHead } = old;
    const { runs: _newRuns, ...newHead } = now;
    const fields = tableChanges('line’s', oldHead, newHead, fieldWord).map(
      (each) => `${name}: ${each.toLowerCase()}`,
    );
    return [...fields, ...entryChanges(old, now).map((each) => `${name}: ${each}`)];
  });
}

/** Readings that make the scope; a post-repair or older inspection does not change what was agreed. */
type PlainLine = PlainJob['lines'][number];
const entriesOf = (runs: PlainLine['runs']): ReadonlyMap<string, Entry> =>
  new Map(
    runs
      .filter((run) => frameOf(run.stage) === 'scope')
      .flatMap((run) => run.entries.map((entry) => [entry.id, entry] as const)),
  );

function entryChanges(before: PlainLine, after: PlainLine): string[] {
  const [was, is] = [entriesOf(before.runs), entriesOf(after.runs)];
  const [nameBefore, nameNow] = [namesOn(before).pointName, namesOn(after).pointName];
  return [...new Set([...was.keys(), ...is.keys()])].flatMap((id) => {
    const [old, now] = [was.get(id), is.get(id)];
    if (sameJson(old, now)) return [];
    if (!old && now) return [`${sayWhat(now, nameNow)} was added`];
    if (!now && old) return [`${sayWhat(old, nameBefore)} was removed`];
    return now ? [`${sayWhat(now, nameNow)} was changed`] : [];
  });
}

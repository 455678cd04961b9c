import type { Entry, FindingEntry, Pipe } from '../job/schema.js';
import type { EntryDraft } from '../logline/context.js';
import { clockText, numberText } from '../speech/numbers.js';
import { tagText } from '../logline/references.js';

/**
 * An entry as a line that reads back to the same entry, its pass written out and defaults left out. Ids of other things
 * are `#id`. The typed line of docs/log-line.md.
 */
export function printLogLine(entry: Entry | EntryDraft): string {
  return [
    entry.about ? 'about' : '',
    placeText(entry),
    entry.kind === 'finding' && entry.possible ? 'possible' : '',
    whatText(entry),
    entry.open ? 'starts' : '',
    entry.clock === undefined ? '' : clockWords('clock', entry.clock),
    entry.waterClock === undefined
      ? entry.clock === undefined
        ? ''
        : 'upright'
      : `water clock ${clockText(entry.waterClock)}`,
    entry.sameAs === undefined ? '' : `same as ${tagText(entry.sameAs)}`,
    entry.use ? 'this one stands' : '',
    entry.stage === undefined ? '' : stageWords[entry.stage],
    entry.pass ?? 'back',
    entry.clip === undefined ? '' : `clip ${tagText(entry.clip)}`,
    entry.video_s === undefined ? '' : `video ${numberText(entry.video_s)} s`,
    ...(entry.photos ?? []).map((photo) => `photo ${quote(photo)}`),
    entry.note === undefined ? '' : quote(entry.note),
  ]
    .filter(Boolean)
    .join(' ');
}

const stageWords = {
  'before-cleaning': 'seen before cleaning',
  current: 'seen now',
  earlier: 'seen earlier',
  'after-repair': 'seen after repair',
} as const;

const quote = (text: string): string => `"${text.replaceAll('"', '""')}"`;

function placeText({ reading_ft, to_ft, after, before, plus_ft }: Entry | EntryDraft): string {
  if (reading_ft !== undefined)
    return to_ft === undefined ? numberText(reading_ft) : `${numberText(reading_ft)} to ${numberText(to_ft)}`;
  if (after === undefined) return '';
  if (before !== undefined) return `between ${tagText(after)} and ${tagText(before)}`;
  return plus_ft === undefined ? `past ${tagText(after)}` : `${numberText(plus_ft)} past ${tagText(after)}`;
}

function clockWords(word: string, clock: number | readonly [number, number]): string {
  return typeof clock === 'number'
    ? `${word} ${clockText(clock)}`
    : `${word} ${clockText(clock[0])}-${clockText(clock[1])}`;
}

function whatText(entry: Entry | EntryDraft): string {
  switch (entry.kind) {
    case 'point':
      return tagText(entry.point);
    case 'change':
      return changeText(entry);
    case 'finding':
      return findingText(entry);
    case 'joint':
      return 'joint';
    case 'note':
      return '';
    case 'hidden':
      return words('not seen', entry.why === undefined ? '' : `because ${quote(entry.why)}`);
    case 'stop':
      return words('stop', entry.why === undefined ? '' : `because ${quote(entry.why)}`);
    case 'locate':
      return words(
        'located',
        entry.depth_ft === undefined ? '' : `${numberText(entry.depth_ft)} deep`,
        entry.end === undefined ? '' : entry.end === 'from' ? 'start' : 'end',
        entry.of === undefined ? '' : `of ${tagText(entry.of)}`,
        entry.station_ft === undefined ? '' : `taped at ${numberText(entry.station_ft)}`,
        entry.mark === undefined ? '' : `marked ${quote(entry.mark)}`,
      );
    case 'test':
      return words(
        `test ${quote(entry.what)}`,
        entry.of === undefined ? '' : `of ${quote(entry.of)}`,
        entry.arrives === undefined ? '' : entry.arrives ? 'arrives' : 'does not arrive',
        entry.runsAway === undefined ? '' : entry.runsAway ? 'runs away' : 'does not run away',
      );
  }
}

const words = (...all: string[]): string => all.filter(Boolean).join(' ');

function changeText({ upstream, downstream }: Extract<EntryDraft, { kind: 'change' }>): string {
  // Sides are explicit: the order of two pipes depends on the pass.
  if (!upstream && !downstream) return 'change';
  if (!upstream) return words('change', pipeText(downstream), 'downstream');
  if (!downstream) return words('change', pipeText(upstream), 'upstream');
  return words('change', pipeText(upstream), 'upstream >', pipeText(downstream), 'downstream');
}

const pipeText = (pipe: Pipe | undefined): string =>
  words(
    pipe?.material ?? '',
    pipe?.diameter_in === undefined ? '' : `${numberText(pipe.diameter_in)} in`,
    pipe?.piece_ft === undefined ? '' : `pieces of ${numberText(pipe.piece_ft)} ft`,
    pipe?.lined ? 'lined' : '',
  );

function findingText(entry: FindingEntry | Extract<EntryDraft, { kind: 'finding' }>): string {
  const percent = 'percent' in entry ? entry.percent : undefined;
  const inches = 'inches' in entry ? entry.inches : undefined;
  const form = 'form' in entry ? entry.form : undefined;
  return words(
    nameText(entry),
    form === undefined || form === 'weeping' ? '' : form,
    'shifting' in entry && entry.shifting ? 'shifting' : '',
    'cause' in entry && entry.cause !== undefined ? causeWords[entry.cause] : '',
    percent === undefined ? '' : `${measureText(percent)}%`,
    inches === undefined ? '' : `${measureText(inches)} in`,
    entry.size ?? '',
    entry.atJoint ? 'at joint' : '',
    entry.eachJoint ? 'each joint' : '',
    entry.touchesFlow ? 'in the flow' : '',
    entry.ofConnection ? 'of the connection' : '',
    entry.judged === undefined ? '' : `judged ${entry.judged.grade} because ${quote(entry.judged.why)}`,
  );
}

const causeWords = {
  sag: 'cause sag',
  unknown: 'cause unknown',
  blockage: 'behind a blockage',
  valve: 'behind a valve',
  main: 'cause main',
} as const;

function nameText(entry: Extract<EntryDraft, { kind: 'finding' }>): string {
  if (entry.finding === 'deposit') return entry.of ?? 'deposit';
  if (entry.finding === 'infiltration' && entry.form === 'weeping') return 'weeping';
  return entry.finding;
}

const measureText = (value: number | readonly [number, number]): string =>
  typeof value === 'number' ? numberText(value) : `${numberText(value[0])}-${numberText(value[1])}`;

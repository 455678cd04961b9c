import { accessWords, ownerWords, sayPointKind } from '../job/point-words.js';
import type { Job } from '../job/schema.js';
import { pointKinds } from '../job/vocabulary.js';
import { methodName } from '../methods/index.js';
import { namesOn, sayEntry } from '../speech/say.js';
import { kindOf, type Edit } from './index.js';
import type { EditWords } from './kind.js';
import { sameJson } from './merge.js';

const words: EditWords = {
  method: methodName,
  entry(entry, line) {
    const { pointName, entryName } = namesOn(line);
    return sayEntry(entry, pointName, entryName);
  },
  changed: changedFields,
};

/**
 * Describes a change in a sentence: "Roots, 15 %… at 46 → Roots, 30 %… at 46". `before` is the inverse edit, `job` names
 * what it is about.
 */
export const sayChange = (edit: Edit, before: Edit, job: Job): string =>
  kindOf(edit).say(edit, before, job, words);

/** Describes a change whose previous value is unknown. */
export const sayAlone = (edit: Edit, job: Job): string =>
  sayChange(edit, edit.kind === 'job' ? edit : { ...edit, set: null }, job);

/** Display names for fields of a job, line, run, point or entry, where the field name itself will not do. */
const fieldWords: Readonly<Record<string, string>> = {
  title: 'name',
  inspectedOn: 'date',
  reason: 'why we came',
  plan: 'the days',
  datum: 'where stations begin',
  end: 'where the line ends',
  serves: 'what drains here',
  pipe: 'the pipe where no change says otherwise',
  noDig: 'no-dig stretches',
  markDistances: 'distances between marks',
  places: 'taped places',
  alsoCure: 'optional repairs',
  access: 'access point',
  zero: 'counter zeroed at',
  zeroReading_ft: 'zero reading',
  stage: 'when it was inspected',
  on: 'date',
  kind: 'what it is',
  station_ft: 'taped distance',
  plusMinus_ft: 'accuracy',
  degrees: 'angle',
  ways: 'fitting',
  faces: 'which way it faces',
  owner: 'whose it is',
  usable: 'may be used',
  place: 'where it is',
  through: 'what was opened',
  connection: 'wye or tee',
  onto: 'the line it joins',
  to_ft: 'far end',
  plus_ft: 'distance past it',
  after: 'what it comes after',
  before: 'what it comes before',
  eachJoint: 'at each joint',
  atJoint: 'at a joint',
  touchesFlow: 'in the flow',
  ofConnection: 'of the connection',
  waterClock: 'clock of the water',
  judged: 'a grade of your own',
  sameAs: 'the same thing as another',
  use: 'which reading is right',
  clip: 'video clip',
  video_s: 'video time',
  runsAway: 'runs away',
};

/** Name of a field in a sentence. */
export const fieldWord = (field: string): string => fieldWords[field] ?? field.replace(/_.*$/, '');

/** Fields whose value is a keyword of the file, with its wording where that is more than hyphens turned into spaces. */
const wordFields: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  kind: Object.fromEntries(pointKinds.map((kind) => [kind, sayPointKind(kind)])),
  through: accessWords,
  owner: ownerWords,
  state: {},
  stage: {},
  zero: {},
  direction: {},
  faces: {},
  reason: {},
  soil: {},
};

function changedFields(before: object, after: object): string {
  const [old, now] = [before as Record<string, unknown>, after as Record<string, unknown>];
  const fields = [...new Set([...Object.keys(old), ...Object.keys(now)])].filter(
    (field) => !sameJson(old[field], now[field]),
  );
  return (
    fields
      .map((field) => {
        const word = fieldWord(field);
        const [was, is] = [old[field], now[field]];
        const isSimple = [was, is].every((value) => value === undefined || typeof value !== 'object');
        return isSimple && !namesAnother.has(field)
          ? `${word} ${shown(was, field)} → ${shown(is, field)}`
          : word;
      })
      .join(', ') || 'nothing changed'
  );
}

/** Their values are ids of other things. */
const namesAnother = new Set(['datum', 'end', 'access', 'after', 'before', 'sameAs', 'clip']);

function shown(value: unknown, field: string): string {
  if (value === undefined || value === '') return 'none';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'number') return String(value);
  if (typeof value !== 'string') return '…';
  const words = wordFields[field];
  return words ? (words[value] ?? value.replaceAll('-', ' ')) : value;
}

import { plain } from '../figure.js';
import { kindOf } from '../findings/kinds.js';
import { sayPointKind } from '../job/point-words.js';
import { defaultRules } from '../job/rules.js';
import { pastEnd_ft } from '../units.js';
import { fartherBy, type EntryDraft, type EarlierThing, type LogContext } from './context.js';

/**
 * With this many readings on a run, one farther from all of them than their own spread is questioned, and over this
 * many ft.
 */
const enoughReadings = 4;
const farAway_ft = 50;

/**
 * Questions about an unlikely reading before it is written: longer than any cable, past the end of the line, or far
 * from everything else on this run, twice the same, or feet and inches taken for a stretch. Each names a form that would
 * be right.
 */
export function doubtsOf(entry: EntryDraft, context: LogContext, known: readonly EarlierThing[]): string[] {
  const readings = [entry.reading_ft, entry.to_ft].filter((each) => each !== undefined);
  const furthest = Math.max(...readings);
  if (readings.length === 0) return [];
  const { mostCable_ft = defaultRules.mostCable_ft } = context;
  if (furthest > mostCable_ft) {
    return [
      `${plain(furthest, 1)} ft is longer than a cable (${plain(mostCable_ft)} ft): is a decimal point missing?`,
    ];
  }
  return [
    ...pastEnd(entry, furthest, context),
    ...farFromAll(furthest, readings, known),
    ...alreadyWritten(entry, known),
    ...feetAndInches(entry),
  ];
}

/** A stretch this long that runs back while pushing out may be feet and inches, ft. */
const longBack_ft = 10;

/** "55-6 roots" pushing out: 55 ft 6 in, or back to 6. */
function feetAndInches({ pass, reading_ft, to_ft }: EntryDraft): string[] {
  if (pass !== 'out' || reading_ft === undefined || to_ft === undefined) return [];
  const mayBeInches = Number.isInteger(reading_ft) && Number.isInteger(to_ft) && to_ft > 0 && to_ft < 12;
  if (!mayBeInches || reading_ft - to_ft <= longBack_ft) return [];
  const [feet, inches] = [plain(reading_ft), plain(to_ft)];
  return [
    `from ${feet} back to ${inches} is ${plain(reading_ft - to_ft)} ft: is that right? For ${feet} ft ${inches} in, type ${feet}' ${inches}"`,
  ];
}

/** The same kind of finding at the same place of the same pass: two of them, or one written twice. */
function alreadyWritten(entry: EntryDraft, known: readonly EarlierThing[]): string[] {
  if (entry.kind !== 'finding' || entry.reading_ft === undefined || entry.sameAs !== undefined) return [];
  const isTwice = known.some(
    ({ entry: other, elsewhere }) =>
      !elsewhere &&
      other.kind === 'finding' &&
      other.finding === entry.finding &&
      (other.pass ?? 'back') === (entry.pass ?? 'back') &&
      other.stage === entry.stage &&
      other.reading_ft === entry.reading_ft &&
      !('form' in other && 'form' in entry && other.form !== entry.form) &&
      (other.clock === undefined || entry.clock === undefined || String(other.clock) === String(entry.clock)),
  );
  return isTwice
    ? [
        `${kindOf(entry.finding).name} at ${plain(entry.reading_ft, 1)} ft is written already: is this another one? To change that one, begin with “no,”`,
      ]
    : [];
}

/** A question about a stretch called to end where the camera was before it began. */
export function endsBehind({ pass, reading_ft }: EntryDraft, end_ft: number | undefined): string[] {
  if (reading_ft === undefined || end_ft === undefined) return [];
  if (fartherBy(pass, reading_ft, end_ft) > 0) return [];
  return [
    `it was called at ${plain(reading_ft, 1)}, ${pass === 'out' ? 'pushing out' : 'pulling back'}: the camera had passed ${plain(end_ft, 1)} before. Is one of the two wrong?`,
  ];
}

function pastEnd(entry: EntryDraft, furthest: number, { points, end, direction }: LogContext): string[] {
  const ends = points.find(({ id }) => id === end);
  const at = ends?.reading_ft;
  if (!ends || at === undefined || direction === 'upstream') return [];
  const isTheEnd = entry.kind === 'point' && entry.point === end;
  if (isTheEnd || furthest <= at + pastEnd_ft) return [];
  const name = ends.name ?? sayPointKind(ends.kind);
  return [
    `${plain(furthest, 1)} ft is ${plain(furthest - at, 1)} ft past the ${name}, which reads about ${plain(at, 1)}: is one of the two wrong?`,
  ];
}

function farFromAll(furthest: number, readings: readonly number[], known: readonly EarlierThing[]): string[] {
  const others = known.flatMap(({ entry, elsewhere }) =>
    elsewhere ? [] : [entry.reading_ft, entry.to_ft].filter((each) => each !== undefined),
  );
  if (others.length < enoughReadings) return [];
  const span = Math.max(...others) - Math.min(...others);
  const away = Math.min(...others.flatMap((other) => readings.map((each) => Math.abs(each - other))));
  return away > Math.max(farAway_ft, span)
    ? [`${plain(furthest, 1)} ft is ${plain(away, 0)} ft from everything else on this run: is it right?`]
    : [];
}

/** Fields that may still be added to an entry: a size, a form, a reason. */
export function missingFrom(entry: EntryDraft): string[] {
  if (entry.open) return ['where it ends'];
  if (entry.kind === 'change' && !entry.upstream?.material) return ['what comes before it'];
  if (entry.kind !== 'finding') return [];
  const { grading } = kindOf(entry.finding);
  if (!grading) return [];
  if (entry.judged?.why === '') return ['why it is judged so'];
  const { measure } = grading;
  if (entry.size !== undefined || measure === 'always') return [];
  if (measure === 'form') return 'form' in entry && entry.form !== undefined ? [] : ['which form'];
  const measured =
    ('percent' in entry && entry.percent !== undefined) || ('inches' in entry && entry.inches !== undefined);
  if (measured) return [];
  return [measure === 'percent' ? 'how much, in %' : 'how much, in inches'];
}

import { newDraft, type Draft } from './draft.js';
import { kindOf } from '../findings/kinds.js';
import { toFeet } from '../speech/numbers.js';
import { fartherBy, type EntryDraft, type EarlierThing, type LogContext } from './context.js';

/** The stretch that this one ends: the newest open one of its kind, else one called at one place only. */
export const endedBy = (
  draft: Draft,
  reading: number | undefined,
  known: readonly EarlierThing[],
  pass: LogContext['pass'],
): EarlierThing | undefined => openOne(draft, known) ?? begunOne(draft, reading, known, pass);

/** Whether a draft names neither a finding nor another kind of entry. */
export const isUnnamed = ({ finding, kind }: Draft): boolean => finding === undefined && kind === undefined;

/** Whether an entry is of the finding or the kind that a draft names. */
export const isOfKind = ({ finding, kind }: Draft, entry: EntryDraft): boolean =>
  finding === undefined ? entry.kind === kind : entry.kind === 'finding' && entry.finding === finding;

/** Whether an entry is long by nature, though it was called at one place. */
export const isLong = (entry: EntryDraft): boolean =>
  entry.kind === 'hidden' || (entry.kind === 'finding' && kindOf(entry.finding).sags === true);

/** The newest open stretch of this kind. */
const openOne = (draft: Draft, known: readonly EarlierThing[]): EarlierThing | undefined =>
  known.findLast(
    ({ entry, elsewhere }) =>
      !elsewhere && entry.open === true && (isUnnamed(draft) || isOfKind(draft, entry)),
  );

/** A stretch that ends this far from where it was called belongs to something else, ft. House rule. */
const longestBegun_ft = 40;

/** "80 belly", then "84 belly ends": the newest of its kind on this pass, called at one place only. */
function begunOne(
  draft: Draft,
  reading: number | undefined,
  known: readonly EarlierThing[],
  pass: LogContext['pass'],
): EarlierThing | undefined {
  if (draft.endCall !== 'end' || reading === undefined) return undefined;
  const newest = known.findLast(({ entry, elsewhere }) => !elsewhere && isOfKind(draft, entry));
  return newest && mayEndAt(newest.entry, reading, pass) ? newest : undefined;
}

function mayEndAt(entry: EntryDraft, reading: number, pass: LogContext['pass']): boolean {
  const { reading_ft, to_ft, open } = entry;
  if (reading_ft === undefined || to_ft !== undefined || open === true) return false;
  const ahead_ft = fartherBy(entry.pass, reading_ft, reading);
  return entry.pass === pass && ahead_ft > 0 && ahead_ft <= longestBegun_ft;
}

/** "82 out of the water", "82 ends": the newest stretch that is open, or that something long by nature began. */
export function nameWhatEnds(
  draft: Draft,
  reading: number | undefined,
  known: readonly EarlierThing[],
  pass: LogContext['pass'],
): void {
  const isNamed = !isUnnamed(draft) || draft.point !== undefined || draft.pipes.length > 0;
  if (draft.endCall !== 'end' || isNamed || reading === undefined) return;
  const found = known.findLast(
    ({ entry, elsewhere }) =>
      !elsewhere && (entry.open === true || (isLong(entry) && mayEndAt(entry, reading, pass))),
  );
  if (found?.entry.kind === 'finding') draft.finding = found.entry.finding;
  else if (found) draft.kind = found.entry.kind;
}

const place = String.raw`~?(?<at>\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft|'))?`;
const measure = String.raw`(?<much>(?:\d+\s+)?\d+\/\d+|\d+(?:\.\d+)?)\s*-?(?<unit>in(?:ch(?:es)?)?\b|"|%|percent\b)?`;

/** "57 out", "66 clear": nothing but that something is over. */
const isOver = new RegExp(
  String.raw`^\s*${place}\s*,?\s+(?:(?:it|it's|water|water's|we're|camera|cam|is|are|all|back|now|up|and|goes|comes?|came)\s+)*(?:out(?:\s+of\s+(?:it|the\s+(?:water|dip|belly|sag)|water|dip|belly|sag))?|clears?(?:\s+(?:up|again))?|done|over|gone|dry|good\s+again|level\s+again|¬\s*(?:standing\s+)?water|(?:grade|slope|fall)(?:'s|\s+is)?\s+(?:good|ok|okay|back|fine)(?:\s+again)?|back\s+(?:on|to)\s+grade|levels?\s+out)\s*[.]?\s*$`,
  'i',
);

/** A line that only says that something is over ends what is open, or water that began at one place. */
export function overHere(
  said: string,
  { numbers }: Draft,
  known: readonly EarlierThing[],
  pass: LogContext['pass'],
): Draft | undefined {
  const at = isOver.exec(said)?.groups?.at;
  if (at === undefined) return undefined;
  // "Back out" of the water names no pass.
  const draft: Draft = { ...newDraft(), endCall: 'end', numbers: numbers.slice(0, 1), fields: { pass } };
  const named = structuredClone(draft);
  nameWhatEnds(named, Number(at), known, pass);
  if (isUnnamed(named)) return undefined;
  const from_ft = endedBy(named, Number(at), known, pass)?.entry.reading_ft ?? Infinity;
  return Math.abs(from_ft - Number(at)) <= longestBegun_ft ? draft : undefined;
}

const worst = String.raw`(?:the\s+|its\s+|it's\s+)?(?:max(?:imum)?|deepest|lowest|worst|heaviest|thickest|biggest)(?:\s+(?:spot|point|part|depth|water|place))?`;
const ofWater = String.raw`(?:\s+(?:deep|of\s+water|here))*`;
/** Where a stretch is worst, and how bad it is there. */
const worstCalls = [
  // "53 deepest, 2 in", "52 max 2"
  String.raw`${place}\s*,?\s+(?:${worst}|deep(?=\s+[\d/ ]+(?:in\b|inch|")))(?:\s+(?:is|about|here|of|~))*\s*,?\s+${measure}${ofWater}`,
  // "max 2 in @ 64", "heaviest 40 % at 20"
  String.raw`${worst}(?:\s+(?:is|about|of|~))*\s*,?\s+${measure}${ofWater}\s*,?\s*(?:at|@|around)\s*${place}`,
  // "deepest at 53, 2 in", "deepest point 53, 1 1/2 in"
  String.raw`${worst}(?:\s+(?:is|at|@|around))*\s*${place}\s*,?\s+${measure}${ofWater}`,
].map((call) => new RegExp(String.raw`^\s*${call}\s*[.]?\s*$`, 'i'));
/** "53 water 2 in deep", "53 2 in deep here": of the water the camera is in. */
const deepHere = new RegExp(
  String.raw`^\s*${place}\s*,?\s+(?:(?:it's|about|~|standing|(?<water>water)|is|now|still)\s+)*${measure}(?:\s*(?<deep>deep|of\s+(?:standing\s+)?water))?(?:\s+here)?\s*[.]?\s*$`,
  'i',
);
/** Water in a lateral is no deeper than its bore; a bare measure over this may be a size of pipe, in. */
const mostDeep_in = 12;
const mostBare_in = 3.5;

/** Whether a line as a whole tells where a stretch is worst. */
export const tellsWorst = (said: string): boolean => worstCalls.some((call) => call.test(said));

/** How bad a stretch that is written already is at one place; where none is written there, what to say instead. */
export type WorstCall =
  { readonly replaces: string; readonly entry: EntryDraft } | { readonly instead: string };

/**
 * "53 deepest, 2 in", "24 heaviest 40 %", or "53 water 2 in deep" while the camera is in it: how deep the water is, or
 * how much of the pipe is taken, that was written before.
 */
export function worstOf(
  said: string,
  known: readonly EarlierThing[],
  pass: LogContext['pass'],
): WorstCall | undefined {
  const told = worstCalls.map((call) => call.exec(said)).find(Boolean)?.groups;
  const { at, much, unit, water, deep } = told ?? deepHere.exec(said)?.groups ?? {};
  if (at === undefined || much === undefined) return undefined;
  const value = toFeet(much);
  const field = /^(?:%|percent)/i.test(unit ?? '') ? 'percent' : 'inches';
  if (field === 'inches' && value > (told || water || deep ? mostDeep_in : mostBare_in)) return undefined;
  if (!told && (field === 'percent' || unit === undefined)) return undefined;
  const at_ft = Number(at);
  const newest = known.findLast(({ entry, elsewhere }) => !elsewhere && entry.kind === 'finding');
  const stretch = (told ? known : newest ? [newest] : []).findLast(({ entry, elsewhere }) => {
    if (elsewhere || entry.kind !== 'finding' || !contains(entry, at_ft, pass, told !== undefined))
      return false;
    if (field === 'inches') return isLong(entry);
    return kindOf(entry.finding).grading?.measure === 'percent' && (entry.open ?? entry.to_ft) !== undefined;
  });
  if (!stretch) return told && field === 'inches' ? { instead: `${at} belly ${much} in` } : undefined;
  const before = (stretch.entry as Readonly<Record<string, unknown>>)[field] ?? 0;
  const most = told ? value : Math.max(value, ...[before].flat().map(Number));
  const says = told
    ? `${field === 'inches' ? 'deepest' : 'heaviest'} at ${at_ft} ft`
    : `${much} in at ${at_ft} ft`;
  const note = [stretch.entry.note, says].filter(Boolean).join('; ');
  return { replaces: stretch.id, entry: { ...stretch.entry, [field]: most, note } as EntryDraft };
}

/** Whether a place lies in a stretch: one that is over, where that may be told, or one that the camera is still in. */
function contains(entry: EntryDraft, at_ft: number, pass: LogContext['pass'], over: boolean): boolean {
  const { reading_ft, to_ft, open } = entry;
  if (reading_ft === undefined) return false;
  if (to_ft !== undefined)
    return over && at_ft >= Math.min(reading_ft, to_ft) && at_ft <= Math.max(reading_ft, to_ft);
  const ahead_ft = fartherBy(entry.pass, reading_ft, at_ft);
  if ((entry.pass ?? 'back') !== pass) return false;
  // Told outright, it is taken on either side: the pass may have been left at the other one.
  return over
    ? Math.abs(ahead_ft) <= longestBegun_ft
    : ahead_ft > 0 && (open === true || ahead_ft <= longestBegun_ft);
}

import { kindOf } from '../findings/kinds.js';
import { gradeWords } from '../job/vocabulary.js';
import {
  hourIsPlace,
  isDrop,
  isPlaceBesideSide,
  named,
  takeClocks,
  takeInches,
  type Draft,
} from './draft.js';
import {
  clockTime,
  dash,
  distance,
  feetOfInches,
  footMark,
  inchMark,
  number,
  toClock,
  toFeet,
  toNumber,
} from '../speech/numbers.js';
import { closeQuote, nearMark, openQuote, repeatMark, sameMark } from '../idioms/traced-text.js';

/** Reads one token into the draft; a returned text says why it does not fit. */
type Act = (draft: Draft, match: RegExpExecArray, at: number) => string | undefined;
type Token = readonly [RegExp, Act];

const token = (pattern: string, act: Act): Token => [new RegExp(`^(?:${pattern})`, 'i'), act];
const sets =
  (set: (draft: Draft, match: RegExpExecArray) => void): Act =>
  (draft, match) => {
    set(draft, match);
    return undefined;
  };

const blocked = String.raw`(?:blocked|plugged|choked|obstructed|clogged|clog|stoppage|stopped\s+up)`;
/** "30 percent blocked": the word belongs to the percentage. "Full of" introduces what fills it. */
const ofBore = String.raw`(?:%|percent\b)(?:\s+(?:full(?!\s+of\b)|blocked|blockage|closed|closure|plugged|filled|obstructed|obstruction|choked|submerged|restricted|restriction)(?:\s+(?:off|up))?\b)?`;
const ordered = (a: number, b: number): [number, number] => (a <= b ? [a, b] : [b, a]);
const clockOrNumber = String.raw`(?:${clockTime}(?![\d.])|${number})`;
const toPosition = (text: string): number => (text.includes(':') ? toClock(text) : toNumber(text));
/** "at 10 1/2": no hour. */
const mixed = String.raw`\s+\d\/\d+(?!\d|\s*${inchMark})`;
const notMore = String.raw`(?![\d:%\/]|\.\d)`;

/** Numbers with a unit or a measuring word, then bare ones: the first match is taken. */
export const tokens: readonly Token[] = [
  token(`${openQuote}([^${closeQuote}]*)${closeQuote}`, quotedText),
  token(
    String.raw`(?:water|turned)\s+(?:at|to|clock)\s+(${clockOrNumber})`,
    sets((draft, [, at = '']) => (draft.fields.waterClock = toPosition(at))),
  ),
  token(
    String.raw`clock\s+(${clockOrNumber})(?:\s*${dash}\s*(${clockOrNumber}))?`,
    sets((draft, [, from = '', to]) => {
      draft.fields.clock = to === undefined ? toPosition(from) : [toPosition(from), toPosition(to)];
    }),
  ),
  token(
    String.raw`(?:from\s+)?(?:the\s+)?(?:top|crown)\s+to\s+(?:the\s+)?(?:bottom|invert)\b`,
    () => 'down which side? Say “12 to 6” for the right, “6 to 12” for the left, or “around”',
  ),
  token(
    String.raw`(?:(?:in|under|by|near|beside|behind|below|(?:at\s+)?(?:the\s+)?(?:edge|middle|center|side)\s+of|next\s+to|across\s+from)\s+(?:the\s+|a\s+|an\s+|my\s+|his\s+|her\s+|their\s+)?(?:(?!(?:the|a|joint)\b)[a-z]+\s+)?(?:driveway|sidewalk|walkway|yard|lawn|grass|street|road|alley|curb|gutter|porch|steps|patio|deck|fence|planter|garden|flower\s*bed|hedge|parkway|parking\s+strip|tree|bush|slab|mailbox|hydrant)|(?:by|near|beside|behind|outside|next\s+to)\s+(?:the\s+)?(?:house|building|garage|foundation)|under\s+(?:the\s+|some\s+)?(?:concrete|asphalt|pavers?|pavement|bricks?|house|building|garage))\b`,
    sets((draft, [whole]) => (draft.fields.note ??= whole.replace(/\s+/g, ' '))),
  ),
  token(
    String.raw`(?:judged|grade)\s+([0-4]|${gradeWords.join('|')})\b`,
    sets((draft, [, word = '']) => {
      const grade = /\d/.test(word) ? Number(word) : gradeWords.indexOf(word.toLowerCase());
      draft.fields.judged = { grade, why: '' };
    }),
  ),
  token(
    String.raw`video\s+(?:(\d+):)?(\d+):([0-5]\d)`,
    sets((draft, [, hours = '0', minutes = '0', seconds = '0']) => {
      draft.fields.video_s = Number(hours) * 3600 + Number(minutes) * 60 + Number(seconds);
    }),
  ),
  token(
    String.raw`video\s+(${number})\s*s?\b`,
    sets((draft, [, seconds = '']) => (draft.fields.video_s = toNumber(seconds))),
  ),
  token(
    String.raw`taped\s+(?:at\s+)?(-?)(${distance})`,
    sets((draft, [, sign, at = '']) => (draft.fields.station_ft = sign ? -toFeet(at) : toFeet(at))),
  ),
  token(
    String.raw`(${number})\s*${dash}\s*(${number})\s*(?:${footMark})?\s*deep\b`,
    sets((draft, [, low = '', high = '']) => {
      const [least, most] = ordered(toNumber(low), toNumber(high));
      draft.fields.depth_ft = (least + most) / 2;
      draft.fields.note ??= `${least} to ${most} ft deep`;
      draft.kind ??= 'locate';
    }),
  ),
  token(String.raw`(?:in\s+)?(${number})\s+(?:places|spots)\b`, () => undefined),
  token(
    String.raw`(?:(?:runs|extends|continues|goes\s+on)\s+(?:for\s+)?|goes\s+(?:for\s+|(?=about\b|~)))(?:(?:about\b|~)\s*)*(${number}\s*${footMark})(?!\s+(?:in|out|down)\b)`,
    sets((draft, [, far = '']) => (draft.long_ft = toFeet(far))),
  ),
  token(
    String.raw`for\s+(?:(?:about\b|~)\s*)*(${number}\s*${footMark})`,
    sets((draft, [, far = '']) => (draft.long_ft = toFeet(far))),
  ),
  token(
    // "22 long crack" is a place.
    String.raw`(?:(?:about\b|~)\s*)*(${number}\s*${footMark}|${distance}(?=\s*long\b(?!\s+(?!at\b|from\b|and\b|with\b|on\b|in\b)[a-z])))\s*long\b(?!\s+sweep)`,
    sets((draft, [, far = '']) => (draft.long_ft = toFeet(far))),
  ),
  token(
    String.raw`(${number}\s*${footMark})\s*(?:long\s+)?(?:section|stretch)\b`,
    sets((draft, [, far = '']) => (draft.long_ft = toFeet(far))),
  ),
  // How large a hole looks: no measure of ours.
  token(
    String.raw`(?:${number}\s*(?:${inchMark}\s*)?(?:x|by)\s*${number}(?:\s*${inchMark})?|(?:about\s+)?(?:the\s+)?size\s+of\s+(?:a|an|my)\s+[a-z]+(?:\s+(?:ball|dollar))?|(?:fist|quarter|golf\s+ball|baseball|softball)[\s-]sized?)(?![\w])`,
    sets((draft, [whole]) => (draft.fields.note ??= whole.replace(/\s+/g, ' '))),
  ),
  token(
    String.raw`(?:runs|goes|extends|continues)\s+(?:on\s+|out\s+|up\s+|down\s+|back\s+|all\s+the\s+way\s+)*(?:to|till|until|through)\s+(?:about\s+|~\s*)?(${distance})${notMore}(?!\s*-?(?:in\b|inch|percent|o'clock))`,
    sets((draft, [, far = '']) => (draft.fields.to_ft ??= toFeet(far))),
  ),
  token(
    repeatMark,
    sets((draft) => (draft.onceMore = true)),
  ),
  token(
    sameMark,
    sets((draft) => (draft.ofWritten = draft.ofWritten === 'there' ? 'other' : 'there')),
  ),
  token(
    nearMark,
    sets((draft) => (draft.ofWritten = 'near')),
  ),
  token(
    String.raw`depth\s+(?:of\s+|is\s+)?(${number})\s*${inchMark}`,
    sets((draft, [, value = '']) => {
      draft.fields.depth_ft = feetOfInches(toNumber(value));
      draft.kind ??= 'locate';
    }),
  ),
  token(String.raw`(${number})\s*${inchMark}\s*deep\b`, inchesDeep),
  token(
    String.raw`(?:depth\s+(${distance})|(${distance})\s*(?:deep|of\s+depth)\b)`,
    sets((draft, [, first, second = '']) => {
      // "belly, 1.5 deep" is of its water.
      if (draft.finding !== undefined && kindOf(draft.finding).sags && !saysFeet.test(second))
        draft.fields.inches ??= toFeet(first ?? second);
      else {
        draft.fields.depth_ft = toFeet(first ?? second);
        draft.kind ??= 'locate';
      }
    }),
  ),
  token(String.raw`(?:in\s+)?(${distance})\s*(?:long\s+)?pieces?\b`, (draft, [, long = '']) =>
    pieces(draft, long),
  ),
  token(String.raw`pieces\s+(?:of\s+)?(${distance})`, (draft, [, long = '']) => pieces(draft, long)),
  token(
    String.raw`(?:at\s+)?(${number})\s*(?:deg(?:rees?)?\b|°)`,
    sets((draft, [, value = '']) => (draft.aboutPoint.degrees = toNumber(value))),
  ),
  token(
    String.raw`falls?\s+(${distance})`,
    sets((draft, [, value = '']) => (draft.aboutPoint.fall_ft = toFeet(value))),
  ),
  token(
    String.raw`(?:riser\s+(?:of\s+|is\s+)?(${distance})|(${number}\s*${footMark})\s+riser\b)`,
    sets((draft, [, value, before = '']) => (draft.aboutPoint.riser_ft = toFeet(value ?? before))),
  ),
  token(
    String.raw`(?:~|about\b|approx\b\.?)`,
    sets((draft) => (draft.fields.about = true)),
  ),
  token(
    String.raw`(?:(?:no|not)(?=\s*[,:]|\s*$|\s+[~#\d½¼¾⅛⅜⅝⅞])|(?:i\s+mean|make\s+(?:that|it)|sorry|correction|correct|scratch\s+that)\b)[,:]?`,
    sets((draft) => {
      if (draft.numbers.length > 0 || named(draft)) draft.mending = true;
      else draft.correcting = true;
    }),
  ),
  token(
    String.raw`(${number})\s*(?:%|percent\b)?\s*${dash}\s*(${number})\s*${ofBore}`,
    sets((draft, [, low = '', high = '']) => {
      draft.fields.percent = ordered(toNumber(low), toNumber(high));
    }),
  ),
  token(
    String.raw`(${number})\s*${ofBore}`,
    sets((draft, [, value = '']) => (draft.fields.percent = toNumber(value))),
  ),
  token(
    String.raw`(${number})\s*(?:${inchMark}\s*)?${dash}\s*(${number})\s*${inchMark}`,
    sets((draft, [, low = '', high = '']) => {
      draft.fields.inches = ordered(toNumber(low), toNumber(high));
      draft.twoInches = [toNumber(low), toNumber(high)];
    }),
  ),
  token(
    String.raw`(?:fully|completely|totally|entirely|full|complete|total)\s+(?:${blocked}|blockage|obstruction)\b(?:\s+(?:up|off|solid|tight|shut))?`,
    sets((draft) => {
      draft.fields.percent = 100;
      draft.blocked = true;
    }),
  ),
  token(
    String.raw`(?:(?:partially|partly|nearly|almost|mostly)\s+)?${blocked}\b(?:\s+(?:up|off|solid|tight|shut))?`,
    sets((draft) => (draft.blocked = true)),
  ),
  token(String.raw`(${number})\s*${inchMark}`, inches),
  token(
    String.raw`(?:at\s+)?(${clockTime})\s*(?:o['’]?clock\s*)?(?:and|&)\s+(?:at\s+)?(${clockTime})\s*o['’]?clock`,
    sets((draft, [, one = '', other = '']) => {
      takeClocks(draft, [toClock(one), toClock(other)]);
    }),
  ),
  token(
    String.raw`(?:(?:from|at)\s+)?(${clockTime})\s*(?:o['’]?clock\s*)?${dash}\s*(${clockTime})\s*o['’]?clock`,
    sets((draft, [, from = '', to = '']) => (draft.fields.clock = [toClock(from), toClock(to)])),
  ),
  token(
    String.raw`(?:(?:from|at)\s+)?(${clockTime})\s*o['’]?clock\s*${dash}\s*(?:about\s+)?(${clockTime})${notMore}(?!\s*(?:${footMark}|${inchMark}|percent))`,
    sets((draft, [, from = '', to = '']) => (draft.fields.clock = [toClock(from), toClock(to)])),
  ),
  token(
    String.raw`(?:(?:from|at|@)\s+)?(${distance})\s*${dash}\s*(${distance})${notMore}(?!\s*-?(?:in\b|inch|percent))`,
    range,
  ),
  token(
    // Nobody calls a place on the pipe to the minute.
    String.raw`(?:at\s+)?(?:1[0-2]|[1-9]):[0-5]\d(?<!:(?:00|15|30|45))(?!\s*o['’]?clock)`,
    (_, [time]) => `a time in the video? Say “video ${time.replace(/^at\s+/i, '')}”, or “2:30 o’clock”`,
  ),
  token(
    String.raw`(?:at|@)\s*(${clockTime})(?:\s*${dash}\s*(${clockTime}))?(\s*o['’]?clock)?${notMore}(?!\s*(?:${footMark}|${inchMark}|percent)|${mixed})`,
    atHour,
  ),
  token(
    String.raw`((?:1[0-2]|[1-9]):[0-5]\d)\s*${dash}\s*((?:1[0-2]|[1-9]):[0-5]\d)(?:\s*o['’]?clock)?`,
    sets((draft, [, from = '', to = '']) => (draft.fields.clock = [toClock(from), toClock(to)])),
  ),
  token(
    String.raw`((?:1[0-2]|[1-9]):[0-5]\d|${clockTime}\s*o['’]?clock)`,
    sets((draft, [, time = '']) => {
      hourIsPlace(draft);
      draft.fields.clock = toClock(time);
    }),
  ),
  token(
    String.raw`(?:to|till|until|through|thru)\s+(?:about\s+|~\s*)?(${distance})${notMore}(?!\s*-?(?:in\b|inch|%|percent|o['’]?clock))`,
    otherEnd,
  ),
  token(String.raw`(?:(?:at\s+|@\s*)(?:~\s*)*)?(${distance})`, bareNumber),
  token(
    String.raw`(?:>|->|→)`,
    sets((draft) => {
      if (draft.pipes.length === 0) draft.pipes.push(draft.finding === undefined ? bareBore(draft) : {});
      draft.changing = true;
      draft.pipes.push({});
    }),
  ),
  token(String.raw`[,.:&+\-–—!?…¦¬()]|'(?!\w)|'s\b`, () => undefined),
];

/** "at 2" is a clock position where the place is known, else a reading. */
function atHour(draft: Draft, match: RegExpExecArray, at: number): undefined {
  const [whole, from = '', to, clock] = match;
  if (!to && !clock && !from.includes(':') && isPlaceBesideSide(draft, Number(from))) {
    bareNumber(draft, match, at);
    return;
  }
  // "at 3 at 2 o'clock": the one that is no hour is the place.
  if (clock) hourIsPlace(draft);
  const side = draft.fields.clock;
  draft.fields.clock = to ? [toClock(from), toClock(to)] : toClock(from);
  delete draft.bareHour;
  if (!to && !clock && !from.includes(':'))
    draft.bareHour = {
      ...{ value: Number(from), from: at, to: at + whole.trimEnd().length },
      ...(typeof side === 'number' ? { side } : {}),
    };
}

/** Quoted words are the note, unless the word before asked for them. A doubled quote stands for one. */
function quotedText(draft: Draft, [, inside = '']: RegExpExecArray): undefined {
  const text = inside.replaceAll('""', '"');
  const field = draft.expecting;
  delete draft.expecting;
  if (field === undefined) draft.fields.note = text;
  else if (field === 'why') draft.why = text;
  else if (field === 'photo') {
    draft.fields.photos = [...((draft.fields.photos as string[] | undefined) ?? []), text];
  } else draft.fields[field] = text;
}

/** A sonde reads as little as this below the ground, in; shallower inches are of the water in the pipe. */
const leastCover_in = 18;

function inchesDeep(draft: Draft, match: RegExpExecArray): undefined {
  const value = toNumber(match[1] ?? '');
  if (draft.finding !== undefined || (draft.kind !== 'locate' && value < leastCover_in)) {
    if (!named(draft)) draft.ofWater = true;
    inches(draft, match);
    return;
  }
  draft.fields.depth_ft = feetOfInches(value);
  draft.kind ??= 'locate';
  return undefined;
}

/** Inches after a material, or either side of `>`, are its bore; elsewhere they are the measure. */
function inches(draft: Draft, [, value = '']: RegExpExecArray): undefined {
  const pipe = draft.pipes.at(-1);
  const took = toNumber(value);
  if (pipe && pipe.diameter_in === undefined && draft.finding === undefined && took >= leastBore_in)
    pipe.diameter_in = took;
  else if (draft.kind === 'point' && draft.finding === undefined && !isDrop(draft))
    draft.aboutPoint.diameter_in = took;
  // "an inch or two": the grade uses the larger.
  else if (typeof draft.fields.inches === 'number' && draft.finding !== undefined && !draft.mending)
    draft.fields.inches = Math.max(took, draft.fields.inches);
  else draft.fields.inches = took;
  delete draft.mending;
}

function bareBore(draft: Draft): { diameter_in?: number } {
  const bore = takeInches(draft);
  return bore === undefined ? {} : { diameter_in: bore };
}

function pieces(draft: Draft, long: string): undefined {
  const pipe = draft.pipes.at(-1);
  if (pipe) pipe.piece_ft = toFeet(long);
  else draft.piece_ft = toFeet(long);
  return undefined;
}

/** No pipe of a job is narrower, in. */
const leastBore_in = 1;
/** No lateral, and no main that one changes into, is wider, in. */
const widestPipe_in = 24;

const saysFeet = new RegExp(String.raw`${footMark}|\d\s*['’′]`, 'i');

/** "48 ft 1/2 in". */
const inchesApart = new RegExp(String.raw`^(\d+)\s*${footMark}\s*(${number})\s*${inchMark}`, 'i');

function bareNumber(draft: Draft, [whole, text = '']: RegExpExecArray, at: number): undefined {
  const value = toFeet(text);
  const feet = saysFeet.test(text);
  const pipe = draft.pipes.at(-1);
  if (whole.includes('~')) draft.fields.about = true;
  if (draft.mending && draft.numbers.length > 0) {
    draft.mended_ft = draft.numbers.pop()?.value;
    delete draft.mending;
  } else if (
    pipe &&
    !feet &&
    draft.finding === undefined &&
    pipe.diameter_in === undefined &&
    draft.numbers.length > 0 &&
    value >= 1 &&
    value <= widestPipe_in
  ) {
    pipe.diameter_in = value;
    return;
  }
  const fraction = /^(?:\d+\/\d+|[^\d.\s])$/.test(text.trim());
  const placed = feet || /^(?:at|@)/i.test(whole);
  const size = !(feet || (placed && value > 12)) && (named(draft) || fraction);
  const [, ones, part] = /^(\d+)\s+(\d+\/\d+)$/.exec(text.trim()) ?? [];
  const apart = inchesApart.exec(text);
  draft.numbers.push({
    ...{ value, from: at, to: at + whole.trimEnd().length, size, feet, fraction, placed },
    ...(placed && !feet ? { at: true as const } : {}),
    ...(named(draft) && !/^(?:at|@)/i.test(whole) ? { fromNoun: true as const } : {}),
    ...(ones !== undefined && part !== undefined ? { mixed: { whole: ones, part } } : {}),
    ...(apart ? { apart: { feet: Number(apart[1]), inches: toNumber(apart[2] ?? '') } } : {}),
  });
}

/** "belly to 40": its far end, unless the number could be a clock position or a size. */
function otherEnd(draft: Draft, match: RegExpExecArray, at: number): undefined {
  const [whole, text = ''] = match;
  const isStretch = draft.finding !== undefined || draft.kind === 'hidden';
  const to_ft = toFeet(text);
  const isFar =
    to_ft > 12 || saysFeet.test(whole) || /^(?:till|until)/i.test(whole) || isBeyond(draft, to_ft);
  if (isStretch && draft.fields.to_ft === undefined && isFar) draft.fields.to_ft = to_ft;
  else bareNumber(draft, match, at);
}

/** "7, roots to 11": the number after its place, both close to the counter's zero. */
function isBeyond({ numbers: [first, ...more], bareHour, fields }: Draft, to_ft: number): boolean {
  const isPlace = first !== undefined && more.length === 0 && (first.placed || !first.size);
  const place = isPlace ? first.value : first === undefined ? bareHour?.value : undefined;
  if (place === undefined || place >= to_ft) return false;
  return fields.clock === undefined || fields.form === 'along' || fields.clock === bareHour?.value;
}

/** Two ends of a stretch; clock positions where the place is known and both are valid hours. */
function range(
  draft: Draft,
  [whole, first = '', second = '']: RegExpExecArray,
  at: number,
): string | undefined {
  const [one, other] = [toFeet(first), toFeet(second)];
  const feet = saysFeet.test(whole);
  if (named(draft) && [first, second].some((text) => text.includes('/'))) {
    draft.fields.inches = ordered(one, other);
    return undefined;
  }
  const hours =
    !feet && [one, other].every((value) => value > 0 && value <= 12 && Number.isInteger(value * 2));
  if (hours && draft.numbers.length > 0) {
    if (
      draft.finding !== undefined &&
      draft.fields.percent === undefined &&
      draft.fields.inches === undefined &&
      one < other
    )
      bareRange(draft, whole, at, one, other);
    else draft.fields.clock = [one, other];
    return undefined;
  }
  if (hours && named(draft)) {
    bareRange(draft, whole, at, one, other);
    return undefined;
  }
  // "93 roots in every joint 93 to 110": the place again, with its other end.
  draft.numbers = draft.numbers.filter(({ value, size }) => size || (value !== one && value !== other));
  if (draft.mending) draft.numbers.pop();
  else if (draft.fields.to_ft !== undefined) return 'a second stretch: one thing has one';
  delete draft.mending;
  draft.numbers.push({
    value: one,
    from: at,
    to: at + whole.trimEnd().length,
    size: false,
    feet,
    fraction: false,
    placed: true,
    range: true,
  });
  draft.fields.to_ft = other;
  return undefined;
}

function bareRange(draft: Draft, whole: string, at: number, one: number, other: number): void {
  draft.bareRange = [one, other];
  draft.rangeAt = { from: at, to: at + whole.trimEnd().length };
}

import { closest } from '../speech/phrases.js';
import { newDraft } from './draft.js';
import { interjectionsIn, isShorthand, type SegmentRead, type Span } from './read-segment.js';

/** For a thing stated to be absent, the place and a note are kept: "seen, none: roots". */
export function denied(read: SegmentRead, said: string): SegmentRead {
  const { fields, numbers } = read.draft;
  const { about, pass, to_ft, video_s } = fields;
  const { nouns } = read;
  const note = nouns.length > 0 ? `seen, none: ${nouns.join(', ')}` : said.replace(/[¬"]/g, '').trim();
  const kept = Object.entries({ about, pass, to_ft, video_s, note }).filter(
    ([, value]) => value !== undefined,
  );
  return {
    ...read,
    errors: [],
    draft: {
      ...newDraft(),
      kind: 'note',
      fields: Object.fromEntries(kept),
      numbers: numbers.slice(0, 1).map((given) => ({ ...given, size: false })),
    },
  };
}

/** Words that name nothing of the trade, with or without a place, are a note, unless one is nearly a trade word. */
export function isRemark({ draft, unknown, passed, errors }: SegmentRead): boolean {
  if (draft.kind !== undefined || draft.finding !== undefined || draft.pipes.length > 0) return false;
  if (
    draft.blocked ||
    draft.ofWater ||
    draft.correcting ||
    draft.onceMore ||
    draft.endCall !== undefined ||
    errors.length > 0
  )
    return false;
  if (draft.point !== undefined || Object.keys(draft.aboutPoint).length > 0) return false;
  const spoken = Object.keys(draft.fields).filter(
    (field) => !['about', 'to_ft', 'clock', 'pass', 'note', 'size', 'possible', 'video_s'].includes(field),
  );
  if (spoken.length > 0 || draft.numbers.some(({ size }) => size)) return false;
  if (
    unknown.some(
      ({ word }) =>
        !/[\p{L}\p{N}]/u.test(word) ||
        word.startsWith('#') ||
        isShorthand(word) ||
        closest(word) !== undefined,
    )
  )
    return false;
  if (draft.fields.note !== undefined) return unknown.length === 0;
  return unknown.length > 0 || passed.reduce((sum, { from, to }) => sum + to - from, 0) >= 5;
}

/** The words of a part without its place. */
export function remarkOf(text: string, whole: Span, { places }: SegmentRead): string {
  const gone = [...places, ...interjectionsIn(text)];
  let left = '';
  for (let i = whole.from; i < whole.to; i++)
    left += gone.some(({ from, to }) => i >= from && i < to) ? ' ' : (text[i] ?? '');
  return left.replace(/\s+/g, ' ').trim();
}

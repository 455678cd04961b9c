import { parseText } from 'media-captions';

/** One cue of a captions file, or one line of a text without times. */
export interface Cue {
  /** Start in the video, s; null without times. */
  readonly start_s: number | null;
  readonly text: string;
}

/** A fault in a file, and its line. */
export interface CaptionFault {
  readonly line: number;
  readonly message: string;
}

export interface Captions {
  readonly cues: readonly Cue[];
  readonly faults: readonly CaptionFault[];
}

/** Narration file formats. WebVTT is a W3C format, SubRip a common one, text has no times. */
export type CaptionFormat = 'vtt' | 'srt' | 'txt';

/** The format, from the file name or from how the text begins. */
export function captionFormat(name: string, text: string): CaptionFormat {
  const ending = /\.(vtt|srt|txt)$/i.exec(name)?.[1]?.toLowerCase();
  if (ending) return ending as CaptionFormat;
  if (/^\uFEFF?WEBVTT/.test(text)) return 'vtt';
  return /^\s*\d+\s*\r?\n\d{1,2}:\d{2}:\d{2}[,.]\d{3}\s*-->/.test(text) ? 'srt' : 'txt';
}

/** Reads a captions file or plain text. Never throws; anything unreadable is a fault with its line. */
export async function readCaptions(text: string, format: CaptionFormat): Promise<Captions> {
  const plain = text.replace(/^\uFEFF/, '').replace(/\r\n?/g, '\n');
  if (format === 'txt') return { cues: linesOf(plain), faults: [] };
  const { cues, errors } = await parseText(plain, { type: format, errors: true, strict: false });
  const read = cues.map(({ startTime, text: words }) => ({ start_s: startTime, text: wordsOf(words) }));
  const faults = errors.map(({ line, message }) => ({ line, message }));
  if (read.length === 0 && faults.length === 0)
    faults.push({
      line: 1,
      message: 'no caption with a time was found: a cue reads 00:00:03.000 --> 00:00:09.000, then its words',
    });
  return { cues: withoutRolling(read), faults };
}

/** Words without voice or style tags. */
const wordsOf = (text: string): string =>
  text
    .replace(/<[^>]*>/g, '')
    .replace(/&nbsp;/g, ' ')
    .replace(/&amp;/g, '&')
    .replace(/&lt;/g, '<')
    .replace(/&gt;/g, '>')
    .trim();

/** Rolling captions repeat the previous line; the repeat is dropped. */
function withoutRolling(cues: readonly Cue[]): Cue[] {
  let last = '';
  return cues.flatMap((cue) => {
    const lines = cue.text.split('\n').map((line) => line.trim());
    while (lines.length > 0 && lines[0] === last && last !== '') lines.shift();
    const text = lines.join(' ').trim();
    last = cue.text.split('\n').at(-1)?.trim() ?? '';
    return text === '' ? [] : [{ ...cue, text }];
  });
}

/** Lines of a text; one that begins with a time, "1:52 roots at 44", keeps it. */
function linesOf(text: string): Cue[] {
  return text.split('\n').flatMap((line) => {
    const timed = /^\s*[[(]?(?:(\d+):)?(\d{1,2}):([0-5]\d)(?:[.,]\d+)?[\])]?\s*[-–:]?\s+(?=\S)/.exec(line);
    const start_s = timed ? Number(timed[1] ?? 0) * 3600 + Number(timed[2]) * 60 + Number(timed[3]) : null;
    const words = line.slice(timed?.[0].length ?? 0).trim();
    return words === '' ? [] : [{ start_s, text: words }];
  });
}

/** Cues as a WebVTT text, each shown until the next; empty without times. */
export function captionsText(cues: readonly Cue[]): string {
  const timed = cues.flatMap(({ start_s, text }) =>
    start_s === null ? [] : [{ start_s: Math.max(0, start_s), text }],
  );
  if (timed.length === 0) return '';
  const blocks = timed.map(
    ({ start_s, text }, i) =>
      `${stamp(start_s)} --> ${stamp(Math.max(start_s + 0.5, timed[i + 1]?.start_s ?? start_s + 6))}\n${text}`,
  );
  return ['WEBVTT', ...blocks].join('\n\n') + '\n';
}

function stamp(seconds: number): string {
  const whole = Math.floor(seconds);
  const two = (value: number) => String(value).padStart(2, '0');
  return `${two(Math.floor(whole / 3600))}:${two(Math.floor(whole / 60) % 60)}:${two(whole % 60)}.${String(Math.floor((seconds - whole) * 1000 + 1e-6)).padStart(3, '0')}`;
}

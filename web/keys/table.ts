import { methodKeys } from './method-keys';
import type { Method } from '../../core/job/vocabulary.js';

/** A line of the key help: the keys as displayed, what they do, and the action of each press. */
export interface KeyRow<Action extends string> {
  readonly caps: readonly string[];
  readonly does: string;
  /** Key press in tinykeys notation, to its action; empty where the focused element handles it. */
  readonly press: Readonly<Record<string, Action>>;
  /** Only where this picture is shown beside the log. */
  readonly beside?: 'reel' | 'video';
  /** Shown on the button itself, not in the list. */
  readonly onPress?: true;
}

type DoMethod = `do ${Method}`;

export type SheetAction =
  | DoMethod
  | 'join'
  | 'split'
  | 'lift'
  | 'menu'
  | 'next'
  | 'before'
  | 'zoomIn'
  | 'zoomOut'
  | 'fit'
  | 'upstream'
  | 'downstream'
  | 'grade'
  | 'line'
  | 'keys'
  | 'stop';

const methodRows = methodKeys.map(({ method, key, does }): KeyRow<SheetAction> => ({
  caps: [key.toUpperCase()],
  does,
  press: { [key]: `do ${method}` },
}));

const undoHint = { caps: ['Ctrl', 'Z'], does: 'undo; with Shift redo' } as const;

export const sheetKeys: readonly KeyRow<SheetAction>[] = [
  {
    caps: ['←', '→'],
    does: 'along the findings, excavations and bars; on the sheet itself the hairline',
    press: {},
  },
  { caps: ['Tab'], does: 'to the next row, and to the ends of the chosen bar', press: {} },
  { caps: ['N', 'P'], does: 'next bar, bar before', press: { n: 'next', p: 'before' } },
  ...methodRows,
  { caps: ['J'], does: 'join with the next', press: { j: 'join' } },
  { caps: ['D'], does: 'split at the hairline', press: { d: 'split' } },
  { caps: ['X'], does: 'lift the pins here', press: { x: 'lift' } },
  { caps: ['M'], does: 'all that can be done here, in a list', press: { m: 'menu' } },
  { ...undoHint, press: {} },
  {
    caps: ['+', '−'],
    does: 'zoom',
    press: { '+': 'zoomIn', 'Shift++': 'zoomIn', '=': 'zoomIn', '-': 'zoomOut' },
  },
  { caps: ['0'], does: 'the whole line', press: { '0': 'fit' } },
  { caps: ['A', 'F'], does: 'move along it', press: { a: 'upstream', f: 'downstream' } },
  { caps: ['G'], does: 'grade and flow', press: { g: 'grade' } },
  { caps: ['I'], does: 'to the typed line', press: { i: 'line' } },
  { caps: ['Esc'], does: 'close what is open', press: { Escape: 'stop' } },
  { caps: ['?'], does: 'these keys', press: { '?': 'keys', 'Shift+?': 'keys' } },
];

/** The key of an action of the sheet. */
export function pressOf(action: SheetAction): string {
  const found = sheetKeys.flatMap(({ press }) => Object.entries(press)).find(([, each]) => each === action);
  if (!found) throw new Error(`${action} has no key`);
  return found[0];
}

export type LogAction =
  | 'passOut'
  | 'passBack'
  | 'waterLeft'
  | 'waterRight'
  | 'stamp'
  | 'locate'
  | 'zero'
  | 'mark'
  | 'readNext'
  | 'keepOut'
  | 'keepBack'
  | 'keepPicture'
  | 'play'
  | 'back'
  | 'line';

/** The keys beside the typed line: all with Alt, since the line takes every letter. */
export const logKeys: readonly KeyRow<LogAction>[] = [
  { caps: ['Alt', '1'], does: 'pushing out', press: { 'Alt+Digit1': 'passOut' } },
  { caps: ['Alt', '2'], does: 'pulling back', press: { 'Alt+Digit2': 'passBack' } },
  {
    caps: ['[', ']'],
    does: 'turn by the water',
    press: { 'Alt+BracketLeft': 'waterLeft', 'Alt+BracketRight': 'waterRight' },
  },
  { caps: ['↑', '↓'], does: 'push and pull', press: {}, beside: 'reel' },
  { caps: ['Alt', 'S'], does: 'stamp the reading', press: { 'Alt+KeyS': 'stamp' }, beside: 'reel' },
  { caps: ['Alt', 'L'], does: 'locate', press: { 'Alt+KeyL': 'locate' }, beside: 'reel' },
  { caps: ['Alt', '0'], does: 'zero', press: { 'Alt+Digit0': 'zero' }, beside: 'reel' },
  { caps: ['Alt', 'P'], does: 'play, pause', press: { 'Alt+KeyP': 'play' }, beside: 'video' },
  { caps: ['Alt', ','], does: '5 s back', press: { 'Alt+Comma': 'back' }, beside: 'video' },
  { caps: ['Alt', 'K'], does: 'keep the picture', press: { 'Alt+KeyK': 'keepPicture' }, beside: 'video' },
  { caps: ['Alt', 'M'], does: 'mark here', press: { 'Alt+KeyM': 'mark' } },
  { caps: ['Alt', 'N'], does: 'next to read', press: { 'Alt+KeyN': 'readNext' } },
  { caps: ['Alt', 'O'], does: 'keep the reading out', press: { 'Alt+KeyO': 'keepOut' }, onPress: true },
  { caps: ['Alt', 'B'], does: 'keep the reading back', press: { 'Alt+KeyB': 'keepBack' }, onPress: true },
  { caps: ['Alt', 'I'], does: 'to the line', press: { 'Alt+KeyI': 'line' } },
];

/** Undo and redo, on every view of a job. */
export const undoKeys: readonly KeyRow<'undo' | 'redo'>[] = [
  {
    ...undoHint,
    press: Object.fromEntries(
      ['Control', 'Meta'].flatMap((held) => [
        [`${held}+z`, 'undo'],
        [`${held}+Shift+z`, 'redo'],
        [`${held}+y`, 'redo'],
      ]),
    ),
  },
];

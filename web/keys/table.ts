import type { Method } from '../../core/job/vocabulary.js';
import type { Scope } from '../../core/scope/scope.js';
import { methodKeys } from './method-keys';

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

const undoHint = { caps: ['Ctrl', 'Z'], does: 'undo; with Shift redo' } as const;

const choosingKeys: readonly KeyRow<SheetAction>[] = [
  {
    caps: ['←', '→'],
    does: 'along the findings, excavations and bars; on the sheet itself the hairline',
    press: {},
  },
  { caps: ['Tab'], does: 'to the next row, and to the ends of the chosen bar', press: {} },
  { caps: ['N', 'P'], does: 'next bar, bar before', press: { n: 'next', p: 'before' } },
];

const editingKeys: readonly KeyRow<SheetAction>[] = [
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

/** The keys of the sheet, with one for each method that can be asked for. */
export const sheetKeys = (methods: Scope['methods']): readonly KeyRow<SheetAction>[] => [
  ...choosingKeys,
  ...methodKeys(methods).map(({ method, key, does }): KeyRow<SheetAction> => ({
    caps: [key.toUpperCase()],
    does,
    press: { [key]: `do ${method}` },
  })),
  ...editingKeys,
];

/** The key of an action of the sheet, other than a method. */
export function pressOf(action: Exclude<SheetAction, DoMethod>): string {
  const found = [...choosingKeys, ...editingKeys]
    .flatMap(({ press }) => Object.entries(press))
    .find(([, each]) => each === action);
  if (!found) throw new Error(`${action} has no key`);
  return found[0];
}

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

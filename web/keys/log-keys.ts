import type { KeyRow } from './table';

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

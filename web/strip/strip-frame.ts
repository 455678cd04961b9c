import { linearScale, type Scale } from '../drawing/scale';
import { useState } from 'react';
import type { LineHead } from '../../core/job/schema.js';
import { moveEdge, type End, type HeldStretch } from '../../core/line/edit-stretches.js';
import { straightBetween } from '../../core/straight-between.js';
import type { LineView } from '../../core/views/line-view.js';
import { resolver, type Chosen, type ListName } from '../site/ground';

export const strip = {
  least_px: 620,
  left_px: 74,
  right_px: 24,
  rows: { owner: 8, label: 40, surface: 92, section: 146, axis: 262, height: 290 },
} as const;

export type StretchList = 'surfaces' | 'owners' | 'noDig';
export type StationList = 'points' | 'crossings' | 'depths' | 'ground';

export interface StripProps {
  readonly head: LineHead;
  readonly view: LineView;
  readonly chosen: Chosen | undefined;
  readonly onChoose: (chosen: Chosen) => void;
  readonly cursor_ft: number;
  readonly onCursor: (at_ft: number) => void;
  readonly onChange: (head: LineHead) => void;
}

/** The strip being edited: its contents, its scales, and how a thing on it is selected and moved. */
export interface StripFrame {
  readonly width: number;
  readonly view: LineView;
  /** The data as entered, and with the current drag applied. */
  readonly said: LineHead;
  readonly head: LineHead;
  readonly x: Scale;
  /** Depth below the highest ground, ft to px. */
  readonly y: Scale;
  readonly perFoot: number;
  /** How far the ground is below its highest point, ft. */
  groundDrop: (at_ft: number) => number;
  inside: (at_ft: number) => number;
  resolve: ReturnType<typeof resolver>;
  choose: (list: ListName, index: number) => () => void;
  isChosen: (list: ListName, index: number) => boolean;
  dragEnd: (list: StretchList, index: number, end: 'from' | 'to', to: End, last: boolean) => void;
  dragStation: (list: StationList, index: number, patch: object, last: boolean) => void;
}

export const halfFoot = (value: number) => Math.round(value * 2) / 2;
export const tenth = (value: number) => Math.round(value * 10) / 10;

/** Lays the strip out over a width, and holds the current drag until it ends. */
export function useStripFrame(props: StripProps, wide: number): StripFrame {
  const { head: said, view, chosen, onChoose, onChange } = props;
  const [draft, setDraft] = useState<LineHead>();
  const head = draft ?? said;
  const width = Math.max(strip.least_px, wide);
  const resolve = resolver(view);
  const x = linearScale(
    [view.from_ft, Math.max(view.to_ft, view.from_ft + 1)],
    [strip.left_px, width - strip.right_px],
  );
  const finish = (next: LineHead, last: boolean) => {
    setDraft(last ? undefined : next);
    if (last && next !== said) onChange(next);
  };
  return {
    width,
    view,
    said,
    head,
    x,
    ...depthScale(head, view),
    perFoot: x(view.from_ft + 1) - x(view.from_ft),
    inside: (at) => Math.min(view.to_ft, Math.max(view.from_ft, at)),
    resolve,
    choose: (list, index) => () => {
      onChoose({ list, index });
    },
    isChosen: (list, index) => chosen?.list === list && chosen.index === index,
    dragEnd: (list, index, end, to, last) => {
      const all = (said[list] ?? []) as HeldStretch[];
      finish({ ...said, [list]: moveEdge(all, index, end, to, resolve) }, last);
    },
    dragStation: (list, index, patch, last) => {
      const all = (said[list] ?? []) as object[];
      finish({ ...said, [list]: all.map((each, i) => (i === index ? { ...each, ...patch } : each)) }, last);
    },
  };
}

/** Depth below the ground, or below its highest point where elevations were given. */
function depthScale(head: LineHead, view: LineView): Pick<StripFrame, 'y' | 'groundDrop'> {
  const ground = (head.ground ?? [])
    .map(({ station_ft, elevation_ft }) => [station_ft, elevation_ft] as const)
    .sort(([a], [b]) => a - b);
  const top = ground.length > 0 ? Math.max(...ground.map(([, elevation_ft]) => elevation_ft)) : 0;
  const groundDrop = (at: number) => (ground.length > 0 ? top - straightBetween(ground, at) : 0);
  const deepest = Math.max(
    4,
    ...[...view.depths, ...(head.depths ?? [])].map(
      ({ station_ft, invert_ft }) => invert_ft + groundDrop(station_ft),
    ),
  );
  const { section, axis } = strip.rows;
  return { groundDrop, y: linearScale([0, deepest * 1.12], [section, axis - 14]) };
}

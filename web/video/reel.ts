import { useEffect, useState } from 'react';
import type { Picture } from '../../core/practice/reel.js';
import { senderName } from '../api/client';

export interface ReelState {
  readonly name?: string;
  readonly pipes: readonly {
    readonly id: string;
    readonly accesses: readonly string[];
    readonly name: string;
  }[];
  readonly at?: string;
  readonly reading_ft?: number;
  readonly picture?: Picture;
  /** What the counter read when the picture was taken, which may be behind `reading_ft` for a moment, ft. */
  readonly pictured_ft?: number | undefined;
  readonly stopped?: string | undefined;
  readonly depth_ft?: number | undefined;
  readonly fault?: string | undefined;
}

/** Applies one message of the reel to its state. */
export function readReelMessage(state: ReelState, line: string): ReelState {
  const space = line.indexOf(' ');
  const [word, rest] = space < 0 ? [line, ''] : [line.slice(0, space), line.slice(space + 1)];
  switch (word) {
    case 'reel':
      return { ...state, name: rest };
    case 'pipe': {
      const [id = '', accesses = '', ...name] = rest.split(' ');
      const pipe = { id, accesses: accesses.split(','), name: name.join(' ') };
      return { ...state, pipes: [...state.pipes.filter((each) => each.id !== id), pipe] };
    }
    case 'at':
      return { ...state, at: rest, stopped: undefined, depth_ft: undefined };
    case 'reading':
      return {
        ...state,
        reading_ft: Number(rest),
        stopped: undefined,
        depth_ft: undefined,
        fault: undefined,
      };
    case 'picture':
      return { ...state, picture: JSON.parse(rest) as Picture, pictured_ft: state.reading_ft };
    case 'stopped':
      return { ...state, stopped: rest };
    case 'depth':
      return { ...state, depth_ft: Number(rest) };
    case 'fault':
      return { ...state, fault: rest };
    default:
      return state;
  }
}

/** Requests that did not reach the reel. */
const failures = new EventTarget();
const unsent = 'The reel did not get that: Open Trench cannot be reached. Try again';

/** The reel connected to the server, listened to while in use. */
export function useReel(on: boolean): ReelState {
  const [state, setState] = useState<ReelState>({ pipes: [] });
  useEffect(() => {
    if (!on) return;
    const events = new EventSource('/api/reel');
    events.addEventListener('line', (event: MessageEvent<string>) => {
      setState((now) => readReelMessage(now, event.data));
    });
    const sayUnsent = () => {
      setState((now) => ({ ...now, fault: unsent }));
    };
    failures.addEventListener('unsent', sayUnsent);
    return () => {
      events.close();
      failures.removeEventListener('unsent', sayUnsent);
    };
  }, [on]);
  return state;
}

/** Sends the reel a request; where it cannot be sent, the reel's state says so. */
export async function sendToReel(line: string): Promise<void> {
  const sent = await fetch('/api/reel', {
    method: 'POST',
    body: line,
    headers: { 'x-device': senderName() },
  }).catch(() => undefined);
  if (!sent?.ok) failures.dispatchEvent(new Event('unsent'));
}

/** Why the head goes no further, in a sentence. */
export const sayStopped = (why: string): string =>
  why === 'main' ? 'The camera has reached the main.' : `The camera cannot go further: ${why}`;

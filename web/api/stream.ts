import { useEffect, useState } from 'react';
import { hasLocks } from './tab';

/**
 * Server events about jobs, over one connection per browser however many tabs are open: a browser allows six to one
 * address, and every tab holding one would leave fewer to load and save with. One tab listens and passes them on.
 */
type Word =
  | { readonly of: 'version'; readonly job: string; readonly version: number }
  | { readonly of: 'live'; readonly live: boolean }
  /** A newly opened tab asks for the current state. */
  | { readonly of: 'ask' };

const again_ms = 2000;
const listeners = new Set<(word: Word) => void>();
let live = true;
let leads = false;
let channel: BroadcastChannel | undefined;

function hear(word: Word): void {
  if (word.of === 'live') live = word.live;
  if (word.of === 'ask') {
    if (leads) channel?.postMessage({ of: 'live', live } satisfies Word);
    return;
  }
  listeners.forEach((tell) => {
    tell(word);
  });
}

function tellAll(word: Word): void {
  channel?.postMessage(word);
  hear(word);
}

/** Starts listening, once per load; a customer's page follows no job and never does. */
function openStream(): void {
  if (channel) return;
  channel = new BroadcastChannel('open-trench');
  channel.onmessage = ({ data }: MessageEvent<Word>) => {
    hear(data);
  };
  if (!hasLocks()) lead();
  else {
    void navigator.locks.request('open-trench stream', () => {
      lead();
      return new Promise(() => undefined);
    });
  }
  channel.postMessage({ of: 'ask' } satisfies Word);
}

function lead(): void {
  leads = true;
  const events = new EventSource('/api/changes');
  events.addEventListener('version', ({ data }: MessageEvent<string>) => {
    const [job, version] = JSON.parse(data) as [string, number];
    tellAll({ of: 'version', job, version });
  });
  events.addEventListener('hello', () => {
    tellAll({ of: 'live', live: true });
  });
  events.onerror = () => {
    tellAll({ of: 'live', live: false });
    // After an answer that is not an event stream, as from another program on the port, a browser does not reconnect
    // by itself.
    if (events.readyState !== EventSource.CLOSED) return;
    events.close();
    setTimeout(lead, again_ms);
  };
}

/** Reports one job's versions and every time the server becomes reachable again; returns whether it is now. */
export function useStream(
  job: string,
  { onVersion, onLive }: { readonly onVersion: (version: number) => void; readonly onLive: () => void },
): boolean {
  const [isLive, setLive] = useState(live);
  useEffect(() => {
    const tell = (word: Word) => {
      if (word.of === 'version' && word.job === job) onVersion(word.version);
      if (word.of !== 'live') return;
      setLive(word.live);
      if (word.live) onLive();
    };
    listeners.add(tell);
    openStream();
    return () => {
      listeners.delete(tell);
    };
  }, [job, onVersion, onLive]);
  return isLive;
}

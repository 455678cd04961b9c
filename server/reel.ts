import { fork, type ChildProcess } from 'node:child_process';
import { connect, type Socket } from 'node:net';

/** A camera reel at the other end of the line protocol of docs/reel-protocol.md. */
export interface ReelLink {
  /** Calls back with every message from now on, after the last of each kind; returns what stops it. */
  listen(call: (line: string) => void): () => void;
  send(line: string): void;
  close(): void;
}

const again_ms = 1000;
/** Kinds of message a page needs when it connects late; the newest of each is kept. */
const lasting = new Set(['reel', 'pipe', 'at', 'reading', 'picture']);

/** Connects to the reel at `host:port`, and reconnects whenever the connection is lost. */
export function linkReel(address: string): ReelLink {
  const listeners = new Set<(line: string) => void>();
  const last = new Map<string, string>();
  let socket: Socket | undefined;
  let closed = false;
  const hear = (line: string) => {
    const [word = '', id = ''] = line.split(' ');
    if (lasting.has(word)) last.set(word === 'pipe' ? `pipe ${id}` : word, line);
    for (const call of listeners) call(line);
  };
  const open = () => {
    if (closed) return;
    const cut = address.lastIndexOf(':');
    socket = connect(Number(address.slice(cut + 1)), address.slice(0, cut));
    socket.setEncoding('utf8');
    let partial = '';
    socket.on('data', (chunk: string) => {
      const lines = (partial + chunk).split('\n');
      partial = (lines.pop() ?? '').slice(0, 100_000);
      for (const line of lines) hear(line);
    });
    socket.on('error', () => undefined);
    socket.on('close', () => setTimeout(open, again_ms).unref());
  };
  open();
  return {
    listen(call) {
      for (const line of last.values()) call(line);
      listeners.add(call);
      return () => listeners.delete(call);
    },
    send(line) {
      socket?.write(`${line.replaceAll('\n', ' ')}\n`);
    },
    close() {
      closed = true;
      socket?.destroy();
    },
  };
}

/** Starts the simulated reel as a separate process, which ends with this one. */
export function startSimulatedReel(program: string): Promise<{ link: ReelLink; child: ChildProcess }> {
  return new Promise((ready, failed) => {
    const child = fork(program, [], { stdio: ['ignore', 'ignore', 'inherit', 'ipc'] });
    child.once('error', failed);
    child.once('exit', (code) => {
      failed(new Error(`the simulated reel ended with ${code ?? 'a signal'} before it was ready`));
    });
    child.once('message', (port) => {
      ready({ link: linkReel(`127.0.0.1:${Number(port)}`), child });
    });
  });
}

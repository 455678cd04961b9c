import { createServer, type Socket } from 'node:net';
import {
  enter,
  locatedDepth,
  move,
  pictureOf,
  readingOf,
  zeroHere,
  type Reel,
} from '../../core/practice/reel.js';
import { pipes } from './pipes.js';

/**
 * A simulated camera reel and locator behind the line protocol of docs/reel-protocol.md: text lines over a local
 * stream. One reel, whoever is listening. Ends with the process that started it.
 */
const pipeOf = (id: string | undefined) => pipes.find((pipe) => pipe.id === id);
const [firstPipe] = pipes;
let reel: Reel | undefined = firstPipe && enter(firstPipe, 'CO1', 1);
const listeners = new Set<Socket>();

function tell(line: string, to: Iterable<Socket> = listeners): void {
  for (const socket of to) socket.write(`${line}\n`);
}

function showHead(to?: Iterable<Socket>): void {
  if (!reel) return;
  tell(`reading ${readingOf(reel)}`, to);
  tell(`picture ${JSON.stringify(pictureOf(reel))}`, to);
}

const where = (now: Reel) =>
  `at ${now.pipe.id} ${now.access.id} ${now.direction === 1 ? 'downstream' : 'upstream'}`;

function obey(line: string, socket: Socket): void {
  const [word, ...rest] = line.trim().split(/\s+/);
  switch (word) {
    case 'enter': {
      const pipe = pipeOf(rest[0]);
      const entered = pipe && enter(pipe, rest[1] ?? '', rest[2] === 'upstream' ? -1 : 1);
      if (!entered) {
        tell(`fault no pipe ${rest[0] ?? ''} with a way in at ${rest[1] ?? ''}`, [socket]);
        return;
      }
      reel = entered;
      tell(where(reel));
      showHead();
      return;
    }
    case 'move': {
      const by_ft = Number(rest[0]);
      if (!reel || !Number.isFinite(by_ft) || Math.abs(by_ft) > 200) {
        tell('fault move takes feet, − to pull: move 0.5', [socket]);
        return;
      }
      const moved = move(reel, by_ft);
      reel = moved.reel;
      showHead();
      if (moved.stoppedBy !== undefined) tell(`stopped ${moved.stoppedBy}`);
      return;
    }
    case 'zero':
      if (reel) reel = zeroHere(reel);
      showHead();
      return;
    case 'locate': {
      const depth = reel && locatedDepth(reel);
      tell(depth === undefined ? 'fault nothing to locate in the riser' : `depth ${depth}`);
      return;
    }
    case '':
    case undefined:
      return;
    default:
      tell(`fault ${word} is not known: enter, move, zero, locate`, [socket]);
  }
}

const server = createServer((socket) => {
  let partial = '';
  listeners.add(socket);
  socket.setEncoding('utf8');
  socket.on('data', (chunk: string) => {
    const lines = (partial + chunk).split('\n');
    partial = (lines.pop() ?? '').slice(0, 1000);
    for (const line of lines) obey(line, socket);
  });
  socket.on('close', () => listeners.delete(socket));
  socket.on('error', () => listeners.delete(socket));
  tell('reel simulated', [socket]);
  for (const pipe of pipes) {
    tell(`pipe ${pipe.id} ${pipe.accesses.map(({ id }) => id).join(',')} ${pipe.name}`, [socket]);
  }
  if (reel) tell(where(reel), [socket]);
  showHead([socket]);
});
server.listen(0, '127.0.0.1', () => {
  const address = server.address();
  process.send?.(typeof address === 'object' && address ? address.port : 0);
});
// The simulated reel goes when the application does, however it went.
process.on('disconnect', () => process.exit(0));

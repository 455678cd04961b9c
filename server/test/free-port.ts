import { createServer } from 'node:net';

/** A port of this machine that nothing listens on now. */
export function freePort(): Promise<number> {
  return new Promise((found, failed) => {
    const probe = createServer();
    probe.once('error', failed);
    probe.listen(0, '127.0.0.1', () => {
      const address = probe.address();
      probe.close(() => {
        found(typeof address === 'object' && address ? address.port : 0);
      });
    });
  });
}

import { serveStatic } from '@hono/node-server/serve-static';
import type { Env, Hono } from 'hono';
import { createMiddleware } from 'hono/factory';
import { secureHeaders } from 'hono/secure-headers';

/** The empty string's hash: emotion's placeholder style tag, the only inline style there is. */
const emptyStyle = "'sha256-47DEQpj8HBSa+/TImW+5JCeuQeRkm5NMpJWZG3hSuFU='";

/** Headers of every answer: nothing but our own files runs, shows or is asked. */
export const securely = secureHeaders({
  contentSecurityPolicy: {
    defaultSrc: ["'none'"],
    // Documents are laid out by a WebAssembly module that ships with the pages.
    scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
    styleSrc: ["'self'", emptyStyle],
    fontSrc: ["'self'"],
    imgSrc: ["'self'", 'blob:', 'data:'],
    mediaSrc: ["'self'", 'blob:'],
    connectSrc: ["'self'", 'data:'],
    workerSrc: ["'self'"],
    manifestSrc: ["'self'"],
    baseUri: ["'none'"],
    formAction: ["'none'"],
    frameAncestors: ["'none'"],
  },
  // Served over plain HTTP to this machine only.
  strictTransportSecurity: false,
  crossOriginResourcePolicy: 'same-origin',
  referrerPolicy: 'no-referrer',
});

/** Every answer says that it is ours: pages take no answer of another program on the port for a refusal. No search engine lists it. */
export const markOurs = createMiddleware(async (c, next) => {
  await next();
  c.header('x-open-trench', '1');
  c.header('x-robots-tag', 'noindex, nofollow');
});

/** Files by their own names; any other address is a view of the one page, but a missing asset is a 404. */
export function servePages<E extends Env>(app: Hono<E>, root: string): void {
  const files = serveStatic({
    root,
    onFound: (path, c) => {
      c.header('cache-control', path.includes('assets') ? 'public, max-age=31536000, immutable' : 'no-cache');
    },
  });
  app.use('/*', files);
  app.get('/assets/*', (c) => c.text('No such file', 404));
  app.get(
    '/*',
    serveStatic({
      root,
      path: 'index.html',
      onFound: (_, c) => {
        c.header('cache-control', 'no-cache');
      },
    }),
  );
}

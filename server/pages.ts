import { serveStatic } from '@hono/node-server/serve-static';
import type { Env, Hono } from 'hono';
import { createMiddleware } from 'hono/factory';
import { secureHeaders } from 'hono/secure-headers';
import { pageOfJob } from './first-links.js';

/** Hash of the empty string: emotion's placeholder style tag, the only inline style there is. */
const emptyStyle = "'sha256-47DEQpj8HBSa+/TImW+5JCeuQeRkm5NMpJWZG3hSuFU='";

/** Headers of every answer: only our own files run, load or are contacted. */
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

/**
 * Marks every answer as ours, so that pages do not take another program's answer on the port for a refusal. Search
 * engines index nothing.
 */
export const nameProgram = createMiddleware(async (c, next) => {
  await next();
  c.header('x-open-trench', '1');
  c.header('x-robots-tag', 'noindex, nofollow');
});

/** How long a browser keeps a file: an asset's name changes with its content. */
const kept = createMiddleware(async (c, next) => {
  await next();
  const isAsset = c.req.path.startsWith('/assets/');
  if (c.res.ok) c.header('cache-control', isAsset ? 'public, max-age=31536000, immutable' : 'no-cache');
});

/**
 * Files by name, compressed where the build left a compressed copy; any other address is a view of the single page, whose
 * head names what a job needs first, but a missing asset is a 404.
 */
export function servePages<E extends Env>(app: Hono<E>, root: string): void {
  app.use('/*', kept, serveStatic({ root, precompressed: true }));
  app.get('/assets/*', (c) => c.text('No such file', 404));
  const ofJob = pageOfJob(root);
  app.get('/jobs/*', async (c, next) => {
    const page = ofJob(new URL(c.req.url).pathname);
    if (page === undefined) await next();
    else return c.html(page);
  });
  app.get('/*', serveStatic({ root, path: 'index.html', precompressed: true }));
}

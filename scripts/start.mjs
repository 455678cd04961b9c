import { buildServer, buildWeb, install } from './setup.mjs';

install();
await Promise.all([buildServer(), buildWeb()]);
await import('../dist/server.mjs');

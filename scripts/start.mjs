import { buildReel, buildServer, buildWeb, install } from './setup.mjs';

install();
await Promise.all([buildReel(), buildServer(), buildWeb()]);
await import('../dist/server.mjs');

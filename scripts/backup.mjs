import { buildServer, install } from './setup.mjs';

install();
await buildServer();
await import('../dist/backup.mjs');

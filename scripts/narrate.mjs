import { buildCli, install } from './setup.mjs';

install();
await buildCli();
await import('../dist/narrate.mjs');

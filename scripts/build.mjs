import { buildCli, buildServer, buildWeb, install } from './setup.mjs';

install();
await Promise.all([buildCli(), buildServer(), buildWeb()]);

import { buildCli, buildReel, buildServer, buildWeb, install } from './setup.mjs';

install();
await Promise.all([buildCli(), buildReel(), buildServer(), buildWeb()]);

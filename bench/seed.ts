import { resolve } from 'node:path';
import { seedJobs } from './seed-jobs.js';

const [folder, count] = [process.env.OPEN_TRENCH_DATA, Number(process.env.SEED_JOBS ?? 5000)];
if (folder === undefined) {
  process.stderr.write('Say which data folder: OPEN_TRENCH_DATA=folder SEED_JOBS=5000 npm run seed\n');
  process.exit(2);
}
const began = Date.now();
await seedJobs(resolve(folder), count);
process.stdout.write(`${count} invented jobs in ${((Date.now() - began) / 1000).toFixed(0)} s\n`);

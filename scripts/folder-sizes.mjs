// No folder of sources holds more files than one looks through: a fuller one is parted. Tests are not counted.
import { readdirSync } from 'node:fs';
import { join, relative } from 'node:path';
import { root } from './setup.mjs';

const most = 15;
const counts = new Map();
for (const top of ['core', 'server', 'cli', 'demo', 'web', 'e2e', 'bench'])
  for (const { parentPath, name } of readdirSync(join(root, top), { recursive: true, withFileTypes: true }))
    if (/\.tsx?$/.test(name) && !/\.test\.tsx?$/.test(name))
      counts.set(parentPath, (counts.get(parentPath) ?? 0) + 1);
const full = [...counts].filter(([, count]) => count > most);
for (const [folder, count] of full)
  process.stdout.write(`${relative(root, folder)} holds ${count} files: part it, ${most} at most\n`);
process.exitCode = full.length > 0 ? 1 : 0;

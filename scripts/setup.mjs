// Shared by every command: installs what is missing and builds what is out of date. Plain Node, so that it runs in a
// fresh clone. All messages go to standard error: standard output belongs to the command.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { gzipSync } from 'node:zlib';

export const root = resolve(import.meta.dirname, '..');

export function run(command, args, options = {}) {
  const done = spawnSync(command, args, { cwd: root, stdio: ['ignore', 2, 2], ...options });
  if (done.status !== 0) throw new Error(`${command} ${args.join(' ')} failed`);
}

export function install() {
  const lock = join(root, 'package-lock.json');
  const done = join(root, 'node_modules', '.installed');
  const mark = createHash('sha256').update(readFileSync(lock)).digest('hex');
  if (existsSync(done) && readFileSync(done, 'utf8') === mark) return;
  process.stderr.write('Installing packages…\n');
  run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], { shell: process.platform === 'win32' });
  writeFileSync(done, mark);
}

/** A fingerprint of everything a build reads: names, sizes and times of the sources. */
function sourcesMark(folders) {
  const hash = createHash('sha256');
  const visit = (path) => {
    if (!existsSync(path)) return;
    const stat = statSync(path);
    if (stat.isDirectory()) for (const name of readdirSync(path).sort()) visit(join(path, name));
    else hash.update(`${path} ${stat.size} ${stat.mtimeMs}\n`);
  };
  for (const folder of [...folders, 'package-lock.json', 'vite.config.ts', 'scripts'])
    visit(join(root, folder));
  return hash.digest('hex');
}

/** A version mark of the computation: a hash of the core's sources, without its tests. */
export function coreMark() {
  const hash = createHash('sha256');
  const visit = (path) => {
    for (const entry of readdirSync(path, { withFileTypes: true }).sort((a, b) =>
      a.name < b.name ? -1 : 1,
    )) {
      const inside = join(path, entry.name);
      if (entry.isDirectory()) visit(inside);
      else if (!entry.name.endsWith('.test.ts'))
        hash.update(`${entry.name}\n${readFileSync(inside, 'utf8')}`);
    }
  };
  visit(join(root, 'core'));
  return hash.digest('hex').slice(0, 12);
}

function unlessFresh(name, folders, output, build) {
  const file = join(root, 'dist', `.${name}`);
  const mark = sourcesMark(folders);
  if (existsSync(output) && existsSync(file) && readFileSync(file, 'utf8') === mark) return undefined;
  mkdirSync(join(root, 'dist'), { recursive: true });
  return Promise.resolve(build()).then(() => writeFileSync(file, mark));
}

/** PGlite stays a package: it reads files of its own beside its code. */
const external = ['@electric-sql/pglite', '@electric-sql/pglite/*', 'pg-native'];
/** What packages in the older module format call. */
const required =
  "import { createRequire as requireFrom } from 'node:module'; const require = requireFrom(import.meta.url);";

/** One file with its packages inside: a start reads two files where it read hundreds. */
async function bundle(entry, outfile) {
  const { build } = await import('esbuild');
  await build({
    absWorkingDir: root,
    entryPoints: [entry],
    outfile,
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    external,
    banner: { js: required },
    sourcemap: true,
    define: { 'process.env.OPEN_TRENCH_PROGRAM': JSON.stringify(coreMark()) },
    logLevel: 'error',
  });
}

export const buildCli = () =>
  unlessFresh('cli', ['core', 'cli'], join(root, 'dist/cli.mjs'), () =>
    Promise.all([bundle('cli/main.ts', 'dist/cli.mjs'), bundle('cli/narrate-main.ts', 'dist/narrate.mjs')]),
  );

export const buildServer = () =>
  unlessFresh('server', ['core', 'server'], join(root, 'dist/server.mjs'), () =>
    Promise.all([
      bundle('server/main.ts', 'dist/server.mjs'),
      bundle('server/worker.ts', 'dist/worker.mjs'),
      bundle('server/storage/database-worker.ts', 'dist/database.mjs'),
      bundle('server/backup-main.ts', 'dist/backup.mjs'),
    ]),
  );

export const buildReel = () =>
  unlessFresh('reel', ['demo/reel'], join(root, 'dist/reel.mjs'), () =>
    bundle('demo/reel/main.ts', 'dist/reel.mjs'),
  );

export const buildWeb = () =>
  unlessFresh('web', ['core', 'web', 'server'], join(root, 'dist/web/index.html'), () => {
    process.stderr.write('Building the pages…\n');
    run(process.execPath, ['node_modules/vite/bin/vite.js', 'build', '--logLevel', 'warn'], {
      env: { ...process.env, VITE_PROGRAM: coreMark() },
    });
    compressPages();
  });

/** A gzipped copy beside each text file of the pages, which the server sends instead: a third of the bytes. */
function compressPages() {
  const pages = join(root, 'dist/web');
  for (const name of readdirSync(pages, { recursive: true })) {
    const file = join(pages, name);
    if (/\.(js|css|html|svg)$/.test(name)) writeFileSync(`${file}.gz`, gzipSync(readFileSync(file)));
  }
}

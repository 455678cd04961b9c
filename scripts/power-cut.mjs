// Repeated power cuts: node scripts/power-cut.mjs [rounds]
//
// The data folder is in an ext4 image behind a loop device. At the very moment an edit is answered as saved, the
// server
// is stopped and the image copied: whatever the kernel has not written to disk is not in the copy. The copy is
// mounted as
// after a power cut, a server is started on it, and every answered edit must be there. Every
// fifth round the server itself is killed and started again, which recovers, checkpoints and recycles its log.
// Needs root, mkfs.ext4 and loop devices.
import { spawn, spawnSync } from 'node:child_process';
import { copyFileSync, mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { buildReel, buildServer, buildWeb, install, root, run } from './setup.mjs';

const rounds = Number(process.argv[2] ?? 500);
install();
await Promise.all([buildReel(), buildServer(), buildWeb()]);

const folder = mkdtempSync(join(tmpdir(), 'open-trench-power-'));
const [image, copy] = [join(folder, 'disk.img'), join(folder, 'copy.img')];
const [disk, after] = [join(folder, 'disk'), join(folder, 'after')];
const mounted = new Set();

function mount(from, at) {
  mkdirSync(at, { recursive: true });
  run('mount', ['-o', 'loop', from, at]);
  mounted.add(at);
}
function unmount(at) {
  spawnSync('umount', [at]);
  mounted.delete(at);
}

function start(data, port) {
  const child = spawn(process.execPath, [join(root, 'dist', 'server.mjs')], {
    env: {
      ...process.env,
      OPEN_TRENCH_DATA: data,
      OPEN_TRENCH_DEMO: 'none',
      OPEN_TRENCH_REEL: 'none',
      PORT: String(port),
    },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  let said = '';
  return new Promise((ready, failed) => {
    for (const stream of [child.stdout, child.stderr]) {
      stream.on('data', (chunk) => {
        said += chunk;
        if (said.includes('Open Trench is at')) ready(child);
      });
    }
    child.once('exit', (code) => failed(new Error(`the server ended with ${code}: ${said}`)));
  });
}

async function end(child, signal) {
  const gone = new Promise((done) => child.once('exit', done));
  child.kill(signal);
  await gone;
}

async function ask(port, path, body) {
  const answer = await fetch(`http://127.0.0.1:${port}/api${path}`, {
    method: body ? 'POST' : 'GET',
    headers: { 'content-type': 'application/json' },
    ...(body ? { body: JSON.stringify(body) } : {}),
  });
  if (!answer.ok) throw new Error(`${path} answered ${answer.status}: ${await answer.text()}`);
  return answer.json();
}

const newJob = {
  format: 'open-trench-job',
  version: 1,
  title: 'Power cut',
  lines: [
    {
      id: 'house',
      datum: 'CO1',
      end: 'MAIN',
      pipe: { material: 'clay', diameter_in: 4 },
      points: [
        { id: 'CO1', kind: 'cleanout' },
        { id: 'MAIN', kind: 'main' },
      ],
      runs: [{ id: 'R1', access: 'CO1', direction: 'downstream', zero: 'pipe', entries: [] }],
    },
  ],
};
const jointEdit = (entry, reading_ft) => ({
  kind: 'entry',
  line: 'house',
  run: 'R1',
  entry,
  set: { id: entry, kind: 'joint', reading_ft, pass: 'back' },
});

let [lost, unopened] = [0, 0];
const say = (cuts) =>
  process.stdout.write(`${cuts} power cuts: ${lost} lost an answered edit, ${unopened} did not open\n`);
try {
  run('truncate', ['-s', '400M', image]);
  run('mkfs.ext4', ['-q', image]);
  mount(image, disk);
  let server = await start(join(disk, 'data'), 4971);
  const { id } = await ask(4971, '/jobs', newJob);
  const answered = [];
  for (let round = 1; round <= rounds; round++) {
    const entry = `k${round}`;
    await ask(4971, `/jobs/${id}/edits`, {
      sent: `set-${round}-power`,
      edits: [jointEdit(entry, (round % 300) / 4)],
    });
    server.kill('SIGSTOP');
    copyFileSync(image, copy);
    server.kill('SIGCONT');
    answered.push(entry);
    try {
      mount(copy, after);
      const other = await start(join(after, 'data'), 4972);
      const { job } = await ask(4972, `/jobs/${id}`);
      const kept = new Set(job.lines[0].runs[0].entries.map((each) => each.id));
      const missing = answered.filter((each) => !kept.has(each));
      if (missing.length > 0) {
        lost++;
        process.stderr.write(`round ${round}: lost ${missing.join(', ')}\n`);
      }
      await end(other, 'SIGKILL');
    } catch (error) {
      unopened++;
      process.stderr.write(`round ${round}: ${error.message}\n`);
    }
    unmount(after);
    if (round % 25 === 0 && round < rounds) say(round);
    if (round % 5 === 0) {
      await end(server, 'SIGKILL');
      server = await start(join(disk, 'data'), 4971);
    }
  }
  await end(server, 'SIGTERM');
} finally {
  for (const at of mounted) unmount(at);
  rmSync(folder, { recursive: true, force: true });
}
say(rounds);
process.exit(lost + unopened === 0 ? 0 : 1);

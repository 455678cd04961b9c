import { isUtf8 } from 'node:buffer';
import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { captionFormat, readCaptions } from '../core/captions.js';
import { narrate, type NarrationOptions } from '../core/narration/narrate.js';

type Write = (text: string) => void;

const usage =
  'usage: npm run --silent narrate -- [--direction downstream|upstream] [--pass out|back] FILE… (.vtt, .srt or .txt)';

/**
 * The headless command for narration: captions in, a proposed log out, one JSON object per line and file. Returns the
 * exit code: 0, or 2 where the arguments are wrong or a file cannot be read; the fault and its line go to standard
 * error.
 */
export async function runNarrate(args: readonly string[], write: Write, fail: Write): Promise<number> {
  const called = options(args);
  if (typeof called === 'string') {
    fail(called);
    fail(usage);
    return 2;
  }
  let code = 0;
  for (const file of called.files) {
    const faults = await narrateFile(file, called, write);
    for (const fault of faults) fail(fault);
    if (faults.length > 0) code = 2;
  }
  return code;
}

function options(args: readonly string[]): (NarrationOptions & { files: string[] }) | string {
  try {
    const { values, positionals } = parseArgs({
      args: [...args],
      allowPositionals: true,
      options: { direction: { type: 'string' }, pass: { type: 'string' } },
    });
    const { direction, pass } = values;
    if (direction !== undefined && direction !== 'downstream' && direction !== 'upstream')
      return `--direction is downstream or upstream, not “${direction}”`;
    if (pass !== undefined && pass !== 'out' && pass !== 'back')
      return `--pass is out or back, not “${pass}”`;
    if (positionals.length === 0) return 'no file was given';
    return { files: positionals, ...(direction ? { direction } : {}), ...(pass ? { pass } : {}) };
  } catch (error) {
    return error instanceof Error ? error.message : String(error);
  }
}

/** The faults of one file; its narration is written where there are none. */
async function narrateFile(file: string, how: NarrationOptions, write: Write): Promise<string[]> {
  let bytes: Buffer;
  try {
    bytes = readFileSync(file);
  } catch {
    return [`${file}: cannot be read`];
  }
  if (!isUtf8(bytes)) return [`${file}:1: not UTF-8 text`];
  const text = bytes.toString('utf8');
  const { cues, faults } = await readCaptions(text, captionFormat(file, text));
  if (faults.length > 0) return faults.map(({ line, message }) => `${file}:${line}: ${message}`);
  write(JSON.stringify(narrate(cues, how)));
  return [];
}

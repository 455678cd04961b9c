import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { Ajv2020 } from 'ajv/dist/2020.js';
import addFormats from 'ajv-formats';
import { scopeFile } from './scope-file.js';
import { scopeOf } from '../scope/scope.js';
import { scopeWithOptions } from '../test/own-scope.js';
import { randomJob } from '../test/random-job.js';
import { publishedSchemas } from './json-schema.js';
import { readFirmText } from './read-firm.js';
import { readJobText } from './read.js';
import { readyJob } from '../solve/ready.js';

const root = join(import.meta.dirname, '../..');
const demoFiles = readdirSync(join(root, 'demo/jobs'));
const schemas = publishedSchemas();

// ajv is an independent validator of the published schemas.
const ajv = new Ajv2020({ strict: false, allErrors: true });
(addFormats as unknown as { default: (to: Ajv2020) => void }).default(ajv);
const validJob = ajv.compile(schemas.job);
const validScope = ajv.compile(schemas.scope);
const validFirm = ajv.compile(schemas.firm);

test.each(['job', 'scope', 'firm'] as const)('docs/%s.schema.json is what the code publishes', (name) => {
  const path = join(root, 'docs', `${name}.schema.json`);
  const text = `${JSON.stringify(schemas[name], null, 2)}\n`;
  // UPDATE_SCHEMAS=1 rewrites them after a schema change.
  if (process.env.UPDATE_SCHEMAS) writeFileSync(path, text);
  expect(readFileSync(path, 'utf8')).toBe(text);
});

test.each(demoFiles)('%s and its scope are valid', (name) => {
  const text = readFileSync(join(root, 'demo/jobs', name), 'utf8');
  expect(validJob(JSON.parse(text)) ? [] : validJob.errors).toEqual([]);
  const { job } = readJobText(text);
  if (!job) throw new Error('the demo job cannot be read');
  const ready = readyJob(job);
  const scope: unknown = JSON.parse(JSON.stringify(scopeFile(ready, scopeOf(ready))));
  expect(validScope(scope) ? [] : validScope.errors).toEqual([]);
});

test('invented jobs and their scopes are valid, unknown fields are not', () => {
  for (let seed = 500; seed < 520; seed++) {
    const job = randomJob(seed, { lines: 1 + (seed % 2) });
    expect(validJob(JSON.parse(JSON.stringify(job))) ? [] : validJob.errors).toEqual([]);
    const ready = readyJob(job);
    const scope: unknown = JSON.parse(JSON.stringify(scopeFile(ready, scopeWithOptions(ready))));
    expect(validScope(scope) ? [] : validScope.errors).toEqual([]);
    expect(validJob({ ...job, color: 'red' })).toBe(false);
  }
});

test('a firm that the reader takes is valid, and what it refuses by shape is not', () => {
  const firm = {
    format: 'open-trench-firm',
    version: 1,
    name: 'Hollow Lane Drains',
    terms: 'Half on the day we start.',
    validity_days: 14,
    exclusions: ['planting'],
    rules: { cleanEvery_months: [6, 9], earthquakeOn: '2026-02-01' },
    prices: { look: 190, restore_per_ft2: { tile: 'by-others' } },
  };
  for (const [patch, taken] of [
    [{}, true],
    [{ logo: 'data:image/jpeg;base64,/9j/4AAQ' }, true],
    [{ logo: 'https://elsewhere.test/logo.png' }, false],
    [{ logo: 'data:image/svg+xml;base64,PHN2Zz4=' }, false],
    [{ validity_days: 0 }, false],
    [{ color: 'red' }, false],
    [{ version: 2 }, false],
    [{ rules: { look_months: 'often' } }, false],
    [{ prices: { look: -1 } }, false],
  ] as const) {
    const value = { ...firm, ...patch };
    expect(validFirm(value)).toBe(taken);
    expect(readFirmText(JSON.stringify(value)).faults === undefined).toBe(taken);
  }
  expect(readFirmText('{').faults?.[0]?.message).toContain('not JSON');
  // A rule between fields, which JSON Schema does not express.
  const backwards = readFirmText(JSON.stringify({ ...firm, rules: { cleanEvery_months: [9, 6] } }));
  expect(backwards.faults).toMatchObject([{ path: 'rules.cleanEvery_months' }]);
});

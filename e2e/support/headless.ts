import type { Page } from '@playwright/test';
import { execFileSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import type { Job } from '../../core/job/schema.js';
import type { ScopeFile } from '../../core/files/scope-file.js';

const root = resolve(import.meta.dirname, '../..');

/** The scope of a job file by the headless command. */
export const scopeOfFile = (file: string): ScopeFile =>
  JSON.parse(
    execFileSync(process.execPath, [join(root, 'scripts', 'scope.mjs'), file], {
      cwd: root,
      encoding: 'utf8',
    }),
  ) as ScopeFile;

/** A job as the server has it. */
export async function jobOf(page: Page, url: string, id: string): Promise<Job> {
  return ((await (await page.request.get(`${url}/api/jobs/${id}`)).json()) as { job: Job }).job;
}

/** The headless command's result for a job as the server has it; `file` is where the job is written. */
export async function scopeOfJob(page: Page, url: string, id: string, file: string): Promise<ScopeFile> {
  writeFileSync(file, JSON.stringify(await jobOf(page, url, id)));
  return scopeOfFile(file);
}

/** The job of a title as the server has it; the newest where several have it. */
export async function jobTitled(page: Page, url: string, title: string | RegExp): Promise<Job> {
  const rows = (await (await page.request.get(`${url}/api/jobs`)).json()) as { id: string; title: string }[];
  const row = rows.find((each) =>
    typeof title === 'string' ? each.title === title : title.test(each.title),
  );
  if (!row) throw new Error(`no job is called ${String(title)}`);
  return jobOf(page, url, row.id);
}

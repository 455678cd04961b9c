import type { Page } from '@playwright/test';
import { writeFileSync } from 'node:fs';
import { answerOf } from '../../cli/scope.js';
import type { Job } from '../../core/job/schema.js';
import type { ScopeFile } from '../../core/files/scope-file.js';

/** The scope of a job file by the headless command, in this process: a new one would compile it all for each job. */
export function scopeOfFile(file: string): ScopeFile {
  const { scope = '', faults } = answerOf(file, true);
  if (faults.length > 0) throw new Error(faults.join('\n'));
  return JSON.parse(scope) as ScopeFile;
}

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

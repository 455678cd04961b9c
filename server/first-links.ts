import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

/** The part of the build's manifest used here: files by the source they were built from. */
type Manifest = Readonly<Record<string, { readonly file: string; readonly imports?: readonly string[] }>>;

/** The frame of a job in the manifest. */
const frame = 'shell/job-layout.tsx';
/** The view shown where an address names none. */
const firstView = 'sheet';

/**
 * The page for the address of a job: its head names the scripts and the answers that job is drawn from, so that they are
 * on their way before the script that asks for them has run. Undefined for any other address, and where the pages in
 * `root` were built without a manifest.
 */
export function pageOfJob(root: string): (path: string) => string | undefined {
  const manifestFile = join(root, '.vite/manifest.json');
  if (!existsSync(manifestFile)) return () => undefined;
  const manifest = JSON.parse(readFileSync(manifestFile, 'utf8')) as Manifest;
  const html = readFileSync(join(root, 'index.html'), 'utf8');
  return (path) => {
    // An id is quoted in the page as it stands in the address: only as the pages write it themselves.
    const [, id, view = firstView] = /^\/jobs\/([\w.~%-]+)(?:\/(\w+))?$/.exec(path) ?? [];
    if (id === undefined) return undefined;
    const scripts = filesOf(manifest, [frame, `${view}/${view}-view.tsx`]).filter(
      (file) => !html.includes(file),
    );
    // As `web/early` requests them.
    const answers = [`jobs/${id}`, `jobs/${id}/view`, 'firm'];
    const links = [
      ...answers.map((each) => `<link rel="preload" as="fetch" crossorigin="anonymous" href="/api/${each}">`),
      ...scripts.map((file) => `<link rel="modulepreload" crossorigin href="/${file}">`),
    ];
    return html.replace('</head>', `  ${links.join('\n    ')}\n  </head>`);
  };
}

/** The files built from `sources` and from all they import from their start. */
function filesOf(manifest: Manifest, sources: readonly string[]): readonly string[] {
  const seen = new Set<string>();
  const open = [...sources];
  for (let source = open.pop(); source !== undefined; source = open.pop()) {
    if (seen.has(source)) continue;
    seen.add(source);
    open.push(...(manifest[source]?.imports ?? []));
  }
  return [...seen].flatMap((source) => manifest[source]?.file ?? []);
}

import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';

// One word a thing, on every screen and document: text for people in the sources uses the word the field uses, not the
// one the code grew up with. Read by the TypeScript compiler: text between tags, and strings of more than one word.
const notTheWord: readonly (readonly [RegExp, string])[] = [
  [/\bholes?\b/i, 'excavation'],
  [/\bspot digs?\b/i, 'spot repair'],
  [/\bshort liners?\b/i, 'sectional liner'],
  [/\b(look|looked|looks) (again|after|ahead)\b/i, 're-inspect, post-repair inspection'],
  [/\bfirm(’s)?\b/i, 'company'],
  [/\bput back\b|\bputting back\b/i, 'restore'],
  [/\bschools?\b/i, 'repair approach'],
  [/\bno way\b/i, 'not possible'],
  [/\bearth in the ground\b/i, 'excavated volume'],
  [/\bchange of bore\b|\bof the bore\b/i, 'diameter'],
  [/neighbour|colour|\bfibre\b|licence/i, 'US spelling'],
];
/** A key of the browser's storage, which nobody reads. */
const notForPeople = new Set(['firm of this server']);
/** Words that people say, to be understood; and what only tests read. */
const spoken = ['idioms', 'speech', 'logline', 'narration', 'findings', 'test'];
const root = join(import.meta.dirname, '..');
const folders = [
  'web',
  ...readdirSync(join(root, 'core'), { withFileTypes: true })
    .filter((each) => each.isDirectory() && !spoken.includes(each.name))
    .map(({ name }) => `core/${name}`),
];

const sources = folders.flatMap((folder) =>
  readdirSync(join(root, folder), { recursive: true, encoding: 'utf8' })
    .filter((name) => /\.tsx?$/.test(name) && !name.includes('.test.'))
    .map((name) => join(folder, name)),
);

/** The text a person may read in a source, with its line. */
function readIn(path: string): { line: number; text: string }[] {
  const source = ts.createSourceFile(
    path,
    readFileSync(join(root, path), 'utf8'),
    ts.ScriptTarget.Latest,
    true,
  );
  const found: { line: number; text: string }[] = [];
  const take = (node: ts.Node, text: string) => {
    if (notForPeople.has(text)) return;
    found.push({ line: source.getLineAndCharacterOfPosition(node.getStart()).line + 1, text: text.trim() });
  };
  const visit = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node) || ts.isTypeNode(node)) return;
    if (ts.isJsxText(node)) take(node, node.text);
    else if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) {
      if (/\S\s+\S/.test(node.text) || /^[A-Z][a-z]/.test(node.text)) take(node, node.text);
    } else if (ts.isTemplateExpression(node)) {
      for (const part of [node.head, ...node.templateSpans.map(({ literal }) => literal)])
        if (/\S\s+\S/.test(part.text)) take(part, part.text);
    }
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}

test('every screen and paper uses the one word of the field', () => {
  const read = sources.flatMap((path) => readIn(path).map((each) => ({ path, ...each })));
  expect(read.length).toBeGreaterThan(1000);
  const wrong = read.flatMap(({ path, line, text }) =>
    notTheWord.flatMap(([pattern, better]) =>
      pattern.test(text) ? [`${path}:${line}: “${text.slice(0, 80)}”: ${better}`] : [],
    ),
  );
  expect(wrong).toEqual([]);
});

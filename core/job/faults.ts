import type * as z from 'zod';

/** One thing wrong with a job file: where, and what would be right. */
export interface Fault {
  /** Path in the file, such as `lines[0].runs[1].entries[3].percent`. */
  readonly path: string;
  readonly message: string;
}

/** The parsed value of a JSON text, or a single fault where it is not JSON. */
export function parseText(text: string): { readonly value: unknown } | { readonly faults: readonly Fault[] } {
  try {
    return { value: JSON.parse(text) };
  } catch (error) {
    return {
      faults: [{ path: '', message: `not JSON: ${error instanceof Error ? error.message : String(error)}` }],
    };
  }
}

/** NUL, which no database stores in text, and an unpaired surrogate, which is not a character. */
// oxlint-disable-next-line no-control-regex -- NUL is what is looked for.
const unwritable = /[\u0000\ud800-\udfff]/u;

/**
 * Strings in a value that cannot be stored: they contain NUL or an unpaired surrogate, from damaged files or broken
 * pastes. Iterative, so a value nested a million levels deep is still checked.
 */
export function textFaults(value: unknown): Fault[] {
  const faults: Fault[] = [];
  const left: { readonly value: unknown; readonly path: readonly PropertyKey[] }[] = [{ value, path: [] }];
  for (let next = left.pop(); next; next = left.pop()) {
    const { path } = next;
    const judge = (text: string, at: readonly PropertyKey[]) => {
      if (unwritable.test(text))
        faults.push({ path: pathOf(at), message: 'contains an invalid character: type it again' });
    };
    if (typeof next.value === 'string') judge(next.value, path);
    else if (typeof next.value === 'object' && next.value !== null) {
      const inside: [PropertyKey, unknown][] = Array.isArray(next.value)
        ? next.value.map((each, i) => [i, each])
        : Object.entries(next.value);
      for (const [key, each] of inside) {
        if (typeof key === 'string') judge(key, path);
        // Only values that can contain a string are walked: most of a job is numbers.
        if (typeof each === 'string' || typeof each === 'object')
          left.push({ value: each, path: [...path, key] });
      }
    }
  }
  return faults;
}

const pathOf = (path: readonly PropertyKey[]): string =>
  path
    .map((part) => (typeof part === 'number' ? `[${part}]` : `.${String(part)}`))
    .join('')
    .replace(/^\./, '');

/** Zod's issues as faults in our own words: unknown fields one by one, unions by the branch that came closest. */
export function faultsOf(error: z.core.$ZodError, value?: unknown): Fault[] {
  return error.issues.flatMap((issue) => issueFaults(issue, [], value));
}

function issueFaults(issue: z.core.$ZodIssue, above: readonly PropertyKey[], root: unknown): Fault[] {
  const path = [...above, ...issue.path];
  if (issue.code === 'unrecognized_keys') {
    return issue.keys.map((key) => ({ path: pathOf([...path, key]), message: 'unknown field' }));
  }
  if (issue.code === 'invalid_union') {
    const given = valueAt(root, path);
    if (issue.errors.length === 0) {
      const key = issue.discriminator ?? 'kind';
      return [
        {
          path: pathOf(path),
          message: `\`${key}\` is none of those known here${describe(valueAt(root, [...path]))}`,
        },
      ];
    }
    const kinds = issue.errors.flat().map((inner) => inner.message);
    return [{ path: pathOf(path), message: `${[...new Set(kinds)].join('; or ')}${describe(given)}` }];
  }
  if (issue.code === 'invalid_type' && valueAt(root, path) === undefined) {
    return [{ path: pathOf(path), message: `missing: ${issue.expected} expected` }];
  }
  return [{ path: pathOf(path), message: `${issue.message}${describe(valueAt(root, path))}` }];
}

function describe(given: unknown): string {
  return typeof given === 'string' || typeof given === 'number' || typeof given === 'boolean'
    ? ` (given: ${JSON.stringify(given)})`
    : '';
}

function valueAt(root: unknown, path: readonly PropertyKey[]): unknown {
  return path.reduce<unknown>(
    (value, key) =>
      typeof value === 'object' && value !== null ? (value as Record<PropertyKey, unknown>)[key] : undefined,
    root,
  );
}

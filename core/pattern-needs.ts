/** Runs of two or more letters, in lower case, of which a text has one. */
interface OneOf {
  readonly runs: readonly string[];
  /** How often a text has one by chance, roughly: each letter more makes a run rarer. */
  readonly chance: number;
}

/** More runs than this say too little to be worth looking for. */
const mostRuns = 80;

/**
 * The syntax of a pattern (ECMA-262, 22.2.1), without the flags `u` and `v`: letters that stand there once, classes, escapes,
 * openings of groups, counts, the rest.
 */
const token =
  /[a-z]+(?![*+?{])|\[(?:\\.|[^\]\\])*\]|\\(?:u[\da-f]{4}|x[\da-f]{2}|c[a-z]|k<\w+>|.)|\((?:\?(?:[:=!]|<[=!]|<\w+>))?|(?:[*+?]|\{\d+(?:,\d*)?\})\??|./gis;
const isLetter = /^[a-z]/i;
const isCount = /^(?:[*+?]|\{\d)/;
const mayBeNone = /^(?:[*?]|\{0)/;

/**
 * What a text has in it wherever a pattern (without the flags `u` and `v`) is found: one run of each set, the rarest set
 * first. None where nothing can be said.
 */
export function needsOf({ source }: RegExp): readonly OneOf[] {
  const tokens = source.match(token) ?? [];
  let at = 0;
  /** Alternatives up to the end of their group. */
  const choice = (): readonly OneOf[] => {
    const all = [sequence()];
    while (tokens[at] === '|') {
      at++;
      all.push(sequence());
    }
    return all.length === 1 ? (all[0] ?? []) : anyOf(all);
  };
  /** One alternative needs what each of its parts needs. */
  const sequence = (): readonly OneOf[] => {
    const needs: OneOf[] = [];
    let run = '';
    const endRun = () => {
      if (run.length > 1) needs.push({ runs: [run], chance: 6 ** -run.length });
      run = '';
    };
    for (let part = tokens[at]; part !== undefined && part !== '|' && part !== ')'; part = tokens[at]) {
      at++;
      const isGroup = part.startsWith('(');
      const within = isGroup ? choice() : [];
      if (isGroup) at++;
      const count = isCount.test(tokens[at] ?? '') ? tokens[at++] : undefined;
      const letters = isLetter.test(part) ? part.toLowerCase() : '';
      if (count === undefined || !mayBeNone.test(count)) {
        run += letters;
        if (!part.endsWith('!')) needs.push(...within);
      }
      if (!letters || count !== undefined) endRun();
    }
    endRun();
    return needs.sort((a, b) => a.chance - b.chance);
  };
  return choice();
}

/** What alternatives need: one of what each needs most. */
function anyOf(alternatives: readonly (readonly OneOf[])[]): readonly OneOf[] {
  const runs = new Set<string>();
  let chance = 0;
  for (const [rarest] of alternatives) {
    if (!rarest) return [];
    for (const run of rarest.runs) runs.add(run);
    chance += rarest.chance;
  }
  return runs.size > mostRuns ? [] : [{ runs: [...runs], chance }];
}

/** Letters are digits of a code, from 1 on: no run of two has the code of a run of three. */
const base = 27;
const codes = base ** 3;
const letterAt = (text: string, at: number): number => {
  const code = text.charCodeAt(at) | 0x20;
  return code > 0x60 && code < 0x7b ? code - 0x60 : 0;
};

/** Codes of the runs of three letters in a run, or of its two. */
function codesIn(run: string): readonly number[] {
  const [a = 0, b = 0, ...rest] = Array.from(run, (_, i) => letterAt(run, i));
  if (rest.length === 0) return [a * base + b];
  return rest.map((c, i) => (letterAt(run, i) * base + letterAt(run, i + 1)) * base + c);
}

/** Sets of codes, of each of which a text has one. */
export type Needs = readonly (readonly number[])[];

/** The needs of a pattern by code: all of a run that has to be there, of others how each begins. */
export const codedNeeds = (pattern: RegExp): Needs =>
  needsOf(pattern).flatMap(({ runs }) => {
    const [only, other] = runs;
    if (only !== undefined && other === undefined) return codesIn(only).map((code) => [code]);
    return [[...new Set(runs.flatMap((run) => codesIn(run).slice(0, 1)))]];
  });

/** The runs of letters of a text, and of what it was before. */
export class LetterRuns {
  private readonly has = new Uint8Array(codes);

  constructor(text: string) {
    this.add(text);
  }

  add(text: string): void {
    let [a, b] = [0, 0];
    for (let i = 0; i < text.length; i++) {
      const c = letterAt(text, i);
      if (b > 0 && c > 0) {
        this.has[b * base + c] = 1;
        if (a > 0) this.has[(a * base + b) * base + c] = 1;
      }
      [a, b] = [b, c];
    }
  }

  /** Whether a pattern with these needs can be found in the text: false is certain, true is not. */
  meet(needs: Needs): boolean {
    for (const oneOf of needs) {
      let found = false;
      for (let i = 0; !found && i < oneOf.length; i++) found = this.has[oneOf[i] ?? 0] === 1;
      if (!found) return false;
    }
    return true;
  }
}

/** Roles of people who sign in. */
export const roles = ['owner', 'estimator', 'crew'] as const;
export type Role = (typeof roles)[number];

interface Rule {
  readonly methods: readonly string[];
  /** Of the address under /api. */
  readonly path: RegExp;
}

const rule = (methods: string, path: RegExp): Rule => ({ methods: methods.split(' '), path });

/**
 * Crew logs what the camera shows and reads what to cut and where to dig; everything else is closed to it, including
 * any address added later.
 */
const crewMay: readonly Rule[] = [
  rule('GET', /^\/(me|jobs|firm|changes|reel)$/),
  rule('GET', /^\/jobs\/[^/]+(\/(history|changes|crew-view))?$/),
  rule('POST', /^\/jobs\/[^/]+\/edits$/),
  rule('GET POST', /^\/photos(\/[^/]+)?$/),
  rule('POST', /^\/reel$/),
  rule('PUT', /^\/me\/passphrase$/),
];

/** Reserved to owners: accounts, settings of all jobs, backups. */
const ownersOnly: readonly Rule[] = [
  rule('GET POST PUT DELETE', /^\/people(\/|$)/),
  rule('PUT', /^\/firm$/),
  rule('POST', /^\/backups$/),
];

const meets = (rules: readonly Rule[], method: string, path: string) =>
  rules.some((each) => each.methods.includes(method) && each.path.test(path));

/** Whether a role may send this request; `path` is relative to /api. */
export function mayRequest(role: Role, method: string, path: string): boolean {
  const asked = method === 'HEAD' ? 'GET' : method;
  if (role === 'crew') return meets(crewMay, asked, path);
  return role === 'owner' || !meets(ownersOnly, asked, path);
}

/** Kinds of edit that crew may make: readings of its camera, tape and thermometer. */
const crewEdits: ReadonlySet<string> = new Set(['line', 'run', 'entry', 'temperature']);

/** Whether a role may make an edit of this kind, or read one in the history. */
export const mayEdit = (role: Role, kind: string): boolean => role !== 'crew' || crewEdits.has(kind);

/** Prices, rates and margins are not shown to crew. */
export const seesPrices = (role: Role): boolean => role !== 'crew';

/** What a person who signs in may do. */
export const roles = ['owner', 'estimator', 'crew'] as const;
export type Role = (typeof roles)[number];

interface Rule {
  readonly methods: readonly string[];
  /** Of the address under /api. */
  readonly path: RegExp;
}

const rule = (methods: string, path: RegExp): Rule => ({ methods: methods.split(' '), path });

/** Crew logs what the camera shows and reads what to cut and where to dig; everything else is closed to it, new addresses too. */
const crewMay: readonly Rule[] = [
  rule('GET', /^\/(me|jobs|firm|changes|reel)$/),
  rule('GET', /^\/jobs\/[^/]+(\/(history|changes|crew-view))?$/),
  rule('POST', /^\/jobs\/[^/]+\/edits$/),
  rule('GET POST', /^\/photos(\/[^/]+)?$/),
  rule('POST', /^\/reel$/),
  rule('PUT', /^\/me\/passphrase$/),
];

/** What only an owner may: who signs in, what holds for all jobs, copies of everything. */
const ownersOnly: readonly Rule[] = [
  rule('GET POST PUT DELETE', /^\/people(\/|$)/),
  rule('PUT', /^\/firm$/),
  rule('POST', /^\/backups$/),
];

const meets = (rules: readonly Rule[], method: string, path: string) =>
  rules.some((each) => each.methods.includes(method) && each.path.test(path));

/** Whether somebody in a role may send this to the interface; `path` begins after /api. */
export function mayAsk(role: Role, method: string, path: string): boolean {
  const asked = method === 'HEAD' ? 'GET' : method;
  if (role === 'crew') return meets(crewMay, asked, path);
  return role === 'owner' || !meets(ownersOnly, asked, path);
}

/** Kinds of edit that crew may make: of what its camera, its tape and its thermometer give. */
const crewEdits: ReadonlySet<string> = new Set(['line', 'run', 'entry', 'temperature']);

/** Whether somebody in a role may make, or read in the history, an edit of a kind. */
export const mayEdit = (role: Role, kind: string): boolean => role !== 'crew' || crewEdits.has(kind);

/** Prices, rates and margins are not shown to crew. */
export const seesPrices = (role: Role): boolean => role !== 'crew';

import type { GradedFinding } from '../../condition/graded-finding.js';
import { methods as every, type Method } from '../../job/vocabulary.js';
import { meets, near, type BookLine } from './ground.js';

/** What must be done somewhere: §4 and §5. */
export interface Duty {
  readonly from_ft: number;
  readonly to_ft: number;
  readonly methods: readonly Method[];
  readonly findings: readonly GradedFinding[];
  readonly toGrade: boolean;
  /** All of it must be in one action. */
  readonly whole: boolean;
}

const curedIn: Record<string, readonly Method[]> = {
  clean: ['clean'],
  spot: ['spot', 'open-cut', 'regrade'],
  liner: ['line', 'short-line'],
  replacement: ['spot', 'open-cut', 'regrade', 'burst'],
  regrade: ['open-cut', 'regrade'],
};
export const methodsOf = ({ cures }: GradedFinding): Method[] =>
  every.filter((method) => cures.some((cure) => curedIn[cure]?.includes(method)));
export const isRootOrDeposit = ({ placed }: GradedFinding): boolean =>
  placed.entry.finding === 'roots' || placed.entry.finding === 'deposit';
export const isBelly = ({ placed }: GradedFinding): boolean => placed.entry.finding === 'belly';
export const isRepairable = (finding: GradedFinding): boolean =>
  finding.cures.some((cure) => cure !== 'clean');
const old = ['clay', 'concrete', 'cast-iron', 'fibre', 'asbestos-cement'];
export const isOldPipe = (material: string): boolean => old.includes(material);

/** Everything that must be cured, and the places that must at least be cleaned. */
export function dutiesOf(line: BookLine): { cure: Duty[]; clean: { from_ft: number; to_ft: number }[] } {
  const { model, findings, rules, school } = line;
  const binding = findings.filter(({ possible, settled }) => !possible && !settled);
  const least = school === 'maintain' ? 4 : 3;
  const also = model.line.alsoCure ?? [];
  const must = binding.filter(
    (each) =>
      each.endOfLife ||
      also.includes(each.id) ||
      (each.grade >= least && isRepairable(each) && !isRootOrDeposit(each)),
  );
  const cure = [
    ...must.map((each) => duty([each], each.place)),
    ...(school !== 'maintain' ? crowded(line, binding) : []),
    ...(school === 'renew' ? oldRuns(line, binding) : []),
  ];
  const ours = <T extends { from_ft: number; to_ft: number }>(each: T): T[] =>
    rules.publicPart === 'ours' ? [each] : privateParts(line, each);
  return {
    cure: cure.flatMap(ours),
    clean: binding
      .filter((each) => isRootOrDeposit(each) && each.grade >= 3)
      .flatMap(({ place }) => ours({ from_ft: place.from_ft, to_ft: place.to_ft })),
  };
}

const duty = (findings: readonly GradedFinding[], at: { from_ft: number; to_ft: number }): Duty => ({
  from_ft: at.from_ft,
  to_ft: at.to_ft,
  methods: every.filter((method) => findings.every((each) => methodsOf(each).includes(method))),
  findings,
  toGrade: findings.some(isBelly),
  whole:
    findings.length > 1 ||
    findings.some((each) => isBelly(each) || each.placed.to_ft - each.placed.from_ft <= 10),
});

/** This many places of grade watch or worse within this many feet are one repair, from the first to the last. */
function crowded({ rules }: BookLine, binding: readonly GradedFinding[]): Duty[] {
  const counted = binding.filter(
    (each) => each.grade >= 2 && each.measured && !isRootOrDeposit(each) && methodsOf(each).includes('spot'),
  );
  return counted.flatMap((first) => {
    const start = first.place.from_ft;
    const within = counted.filter(
      ({ place }) => place.from_ft >= start && place.to_ft <= start + rules.crowdWithin_ft + 1e-9,
    );
    if (within.length < rules.crowdCount) return [];
    return [duty(within, { from_ft: start, to_ft: Math.max(...within.map(({ place }) => place.to_ft)) })];
  });
}

/** Renew: every longest stretch of old pipe with anything of grade watch or worse. */
function oldRuns({ model }: BookLine, binding: readonly GradedFinding[]): Duty[] {
  const pipes = model.pipes.filter(({ material }) => isOldPipe(material));
  const starts = pipes.filter(({ from_ft }) => !pipes.some(({ to_ft }) => Math.abs(to_ft - from_ft) < 1e-9));
  return starts.flatMap(({ from_ft, to_ft }) => {
    let end = to_ft;
    for (let next; (next = pipes.find((each) => Math.abs(each.from_ft - end) < 1e-9 && each.to_ft > end));)
      end = next.to_ft;
    const bad = binding.filter(
      ({ grade, place, measured }) => grade >= 2 && measured && meets(place, from_ft, end),
    );
    if (bad.length === 0) return [];
    const methods: Method[] = ['line', 'short-line', 'open-cut', 'burst'];
    return [{ from_ft, to_ft: end, methods, findings: bad, toGrade: false, whole: false }];
  });
}

/** The part of a stretch outside public ground. */
function privateParts<T extends { from_ft: number; to_ft: number }>({ model }: BookLine, each: T): T[] {
  const cuts = model.owners
    .filter(({ owner }) => owner === 'public')
    .flatMap(({ from_ft, to_ft }) => [from_ft, to_ft])
    .filter((x) => x > each.from_ft && x < each.to_ft);
  const edges = [each.from_ft, ...cuts.sort((a, b) => a - b), each.to_ft];
  const isPublic = (x: number) =>
    model.owners.some(({ owner, from_ft, to_ft }) => owner === 'public' && from_ft <= x && x <= to_ft);
  return edges.slice(1).flatMap((to_ft, i) => {
    const from_ft = edges[i] ?? to_ft;
    return to_ft - from_ft > near && !isPublic((from_ft + to_ft) / 2) ? [{ ...each, from_ft, to_ft }] : [];
  });
}

import { capital } from '../capital.js';
import { sayWhere } from '../condition/graded-finding.js';
import { notPossibleOn } from '../explain/not-possible.js';
import { nothingSeen } from '../explain/verdict.js';
import { planWarnings } from '../explain/warnings.js';
import type { FittingKind } from '../job/vocabulary.js';
import { workOf } from '../methods/index.js';
import { laidHole } from '../scope/laid-hole.js';
import type { Action } from '../methods/method.js';
import type { LineSolution, Solution } from '../solve/solution.js';

const feet = (value: number) => value.toFixed(1);
const sameEnd_ft = 0.05;

/** The work of an option, one sentence each, in a customer's words. */
export function sayWork(solution: Solution): string[] {
  const several = solution.lines.length > 1;
  return solution.lines.flatMap((lineSolution) => {
    const { model } = lineSolution.line;
    const { chosen } = lineSolution;
    const says = chosen
      ? [
          ...cleaned(lineSolution),
          ...chosen.layout.actions.map((action) => sayAction(action, lineSolution)),
          ...chosen.cleanouts
            .filter(({ offered }) => !offered)
            .map(
              ({ place, status }) =>
                `${{ new: 'A new cleanout', exposed: 'The buried cleanout exposed', raised: 'The cleanout raised', recapped: 'A new cap on the cleanout', rebuilt: 'The cleanout rebuilt' }[status]}, ${place}`,
            ),
        ]
      : ['No scope satisfies the rules and pins'];
    const nothing = nothingSeen([lineSolution.line])
      ? 'Nothing seen yet: the camera is run first'
      : 'Nothing is done: the line stays as it is';
    const said = says.length > 0 ? says : [nothing];
    return several ? said.map((each) => `${model.line.name ?? model.line.id}: ${each}`) : said;
  });
}

function sayAction(action: Action, { line, prepared }: LineSolution): string {
  const { model } = line;
  const length = feet(action.to_ft - action.from_ft);
  const end = model.points.find(({ point }) => point.id === model.line.end)?.point;
  const atEnd = action.to_ft > model.extent.to_ft - sameEnd_ft;
  const to =
    atEnd && model.endReached
      ? `the ${end?.kind === 'main' ? 'main' : (end?.name ?? 'end')}`
      : feet(action.to_ft);
  const where = `from ${feet(action.from_ft)} to ${to}`;
  const work = workOf(action.method);
  const fittings = work.fittings?.(prepared.possible.track, action) ?? [];
  const branches = fittings.filter(({ kind }) => kind === 'wye').map(({ at_ft }) => feet(at_ft));
  const others = fittings
    .filter(({ kind }) => kind !== 'wye')
    .map(({ kind, at_ft }) => `${offeredFitting[kind]} at ${feet(at_ft)}`);
  return [
    work.offered(length, where, action),
    ...(branches.length > 0 ? [`the branch at ${branches.join(', ')} connected again`] : []),
    ...(others.length > 0 ? [`with ${others.join(', ')}`] : []),
  ].join(', ');
}

const offeredFitting: Readonly<Record<FittingKind, string>> = {
  wye: 'a wye',
  bend: 'a new bend',
  drop: 'a new drop',
  cleanout: 'a new cleanout fitting',
  valve: 'a new backwater valve',
  trap: 'a new house trap, where the local code keeps one',
  reducer: 'a reducer',
};

/** Why a place stays as it is, by the rule that refuses work there, as a customer reads it. */
const staysFor: Readonly<Record<string, string>> = {
  'not-enough-fall': 'the pipe has too little fall there to drain dry',
  'under-building': 'it lies under the building',
  'no-dig': 'nobody may dig there',
  'by-others': 'it is for its owner to put right',
  'stops-a-liner': 'nothing passes it and nothing reaches it',
};

/** Each place that must be cured and cannot be: what it is, why it stays, and what would change that. */
export const sayNotPossible = (solution: Solution): string[] =>
  solution.lines.flatMap((lineSolution) =>
    notPossibleOn(lineSolution).map(({ finding, from_ft, to_ft, rule, lift }) => {
      const own = lineSolution.line.condition.findings.find(({ id }) => id === finding);
      // A customer reads no grades.
      const said = own ? sayWhere(own) : `the pipe from ${feet(from_ft)} to ${feet(to_ft)} ft, as a whole`;
      const why = staysFor[rule] ?? 'no repair we may make reaches it';
      return `${capital(said)} is not put right for this price: ${why}. What would change that: ${lift}`;
    }),
  );

/** Conditions on the price. */
export const sayConditions = (solution: Solution): string[] => [
  ...new Set(
    solution.lines
      .flatMap(planWarnings)
      .filter(({ rule }) => rule === 'neighbor-consent' || rule === 'fall-unknown')
      .map(({ message }) => message),
  ),
];

/** One sentence for all cleaning. */
function cleaned({ prepared, chosen }: LineSolution): string[] {
  const cells = prepared.possible.track.cells.filter((_, i) => chosen?.layout.cells[i]?.method === 'clean');
  const [first, last] = [cells[0], cells.at(-1)];
  return first && last ? [`Cleaned between ${feet(first.from_ft)} and ${feet(last.to_ft)} ft`] : [];
}

/** Each excavation: where, how deep, under what surface. */
export function sayHoles(solution: Solution): string[] {
  return solution.lines.flatMap((lineSolution) =>
    (lineSolution.chosen?.layout.holes ?? []).map((hole) => {
      const { figures, surface } = laidHole(lineSolution, hole);
      return `${feet(hole.from_ft)} to ${feet(hole.to_ft)} ft, ${feet(figures.depth.value)} ft deep, ${surface}`;
    }),
  );
}

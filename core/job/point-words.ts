import type { Line, Point } from './schema.js';
import type { AccessWay, PointKind } from './vocabulary.js';

const kindWords: Readonly<Record<PointKind, string>> = {
  cleanout: 'cleanout',
  main: 'main',
  manhole: 'manhole',
  'septic-tank': 'septic tank',
  access: 'access',
  building: 'building',
  'tie-in': 'branch connection',
  bend: 'bend',
  drop: 'drop',
  valve: 'backwater valve',
  fixture: 'fixture',
  'property-line': 'property line',
  tree: 'tree',
  pit: 'pit',
  other: 'mark',
};
export const accessWords: Readonly<Record<AccessWay, string>> = {
  'pulled-toilet': 'pulled toilet',
  'roof-vent': 'roof vent',
  'valve-lid': 'valve lid',
  other: 'access',
};

/** What a kind of point is called. */
export const sayPointKind = (kind: PointKind): string => kindWords[kind];

/** A point as a person says it: its own name, else what it is. */
export const sayPoint = ({ kind, name, through }: Pick<Point, 'kind' | 'name' | 'through'>): string =>
  name ?? (through === undefined ? kindWords[kind] : accessWords[through]);

/** The point that a line's stations are measured from, as a person says it. */
export const datumName = ({ points, datum }: Pick<Line, 'points' | 'datum'>): string => {
  const found = points.find(({ id }) => id === datum);
  return found ? sayPoint(found) : datum;
};

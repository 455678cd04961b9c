import type { Line, Point } from './schema.js';
import type { AccessWay, OwnerKind, PointKind } from './vocabulary.js';

const kindWords: Readonly<Record<PointKind, string>> = {
  cleanout: 'cleanout',
  main: 'main',
  manhole: 'manhole',
  'septic-tank': 'septic tank',
  access: 'access point',
  building: 'building',
  'tie-in': 'branch connection',
  bend: 'bend',
  drop: 'drop',
  valve: 'backwater valve',
  trap: 'house trap',
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

/** Whose ground or cleanout it is. */
export const ownerWords: Readonly<Record<OwnerKind, string>> = {
  private: 'owner’s',
  public: 'public',
  neighbour: 'neighbor’s',
  unknown: 'not known',
};

/** Display name of a kind of point. */
export const sayPointKind = (kind: PointKind): string => kindWords[kind];

/** A point for display: its own name, else its kind. */
export const sayPoint = ({ kind, name, through }: Pick<Point, 'kind' | 'name' | 'through'>): string =>
  name ?? (through === undefined ? kindWords[kind] : accessWords[through]);

/** Display name of the point from which stations are measured. */
export const datumName = ({ points, datum }: Pick<Line, 'points' | 'datum'>): string => {
  const found = points.find(({ id }) => id === datum);
  return found ? sayPoint(found) : datum;
};

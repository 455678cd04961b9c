import * as z from 'zod';
import { fieldTypes } from '../findings/fields.js';
import { findingRows } from '../findings/kinds.js';
import type { FindingRow } from '../findings/row.js';
import {
  accessWays,
  materials,
  methods,
  ownerKinds,
  pointKinds,
  schools,
  sizes,
  soils,
  stages,
  surfaceKinds,
} from './vocabulary.js';
import { rulesSchema } from './rules-schema.js';
import { jobPlanSchema } from './plan-schema.js';
import { pricesSchema } from './prices-schema.js';

/**
 * The open job file, format `open-trench-job`, version 1. Every object is strict: an unknown field is a fault named by
 * its path, never dropped. Units are in the names (`_ft`, `_in`, `_s`); stations increase downstream.
 */

export const idSchema = z.string().min(1, 'an id cannot be empty').max(60);
const text = z.string().max(4000);
const day = z.iso.date();
const station = z.number().min(-10_000).max(10_000);
const length = z.number().min(0).max(10_000);
const bore = z.number().min(1).max(60);
const clockPosition = z.number().gt(0, 'a clock position is over 0').max(12);
const clock = z.union([clockPosition, z.tuple([clockPosition, clockPosition])]);

export const pipeSchema = z.strictObject({
  material: z.enum(materials).optional(),
  diameter_in: bore.optional(),
  /** Length of one piece of pipe, which puts a joint at each multiple from the upstream end of its stretch. */
  piece_ft: z.number().min(0.5).max(100).optional(),
  /** A liner is installed in it; material and bore are those of the host pipe. Default false. */
  lined: z.boolean().optional(),
});

export const pointSchema = z.strictObject({
  id: idSchema,
  kind: z.enum(pointKinds),
  name: text.optional(),
  /** Taped on the surface (± 0.5 ft), or paced or scaled when `plusMinus_ft` is given. */
  station_ft: station.optional(),
  plusMinus_ft: z.number().min(0.01).max(1000).optional(),
  diameter_in: bore.optional(),
  clock: clock.optional(),
  degrees: z.number().min(0).max(180).optional(),
  fall_ft: length.optional(),
  ways: z.union([z.literal(1), z.literal(2)]).optional(),
  faces: z.enum(['upstream', 'downstream']).optional(),
  riser_ft: z.number().min(0).max(100).optional(),
  state: z.enum(['ok', 'buried', 'cap-broken', 'broken', 'none-here']).optional(),
  owner: z.enum(ownerKinds).optional(),
  usable: z.boolean().optional(),
  place: text.optional(),
  /** For an `access`: what was opened to insert the camera. */
  through: z.enum(accessWays).optional(),
  connection: text.optional(),
  onto: z.strictObject({ line: idSchema, point: idSchema }).optional(),
  note: text.optional(),
});

/** A stretch of the line, given by stations or by the ids of points or entries it moves with. */
const stretch = {
  from_ft: station.optional(),
  to_ft: station.optional(),
  from: idSchema.optional(),
  to: idSchema.optional(),
};
type Stretch = { from_ft?: number; to_ft?: number; from?: string; to?: string };
function wholeStretch<T extends Stretch>(schema: z.ZodType<T>) {
  return schema.superRefine((value, context) => {
    for (const end of ['from', 'to'] as const) {
      const held = (value[end] === undefined ? 0 : 1) + (value[`${end}_ft`] === undefined ? 0 : 1);
      if (held !== 1) {
        context.addIssue({
          code: 'custom',
          path: [`${end}_ft`],
          message: `give the ${end === 'from' ? 'upstream' : 'downstream'} end once: \`${end}_ft\` in feet, or \`${end}\` with the id of a point or entry`,
        });
      }
    }
    if (value.from_ft !== undefined && value.to_ft !== undefined && value.from_ft > value.to_ft) {
      context.addIssue({
        code: 'custom',
        path: ['to_ft'],
        message: `stations run backwards: from ${value.from_ft} to ${value.to_ft}`,
      });
    }
  });
}

const readings = {
  id: idSchema,
  reading_ft: length.optional(),
  to_ft: length.optional(),
  /** Default `back`, the pass that counts. */
  pass: z.enum(['out', 'back']).optional(),
  about: z.boolean().optional(),
  after: idSchema.optional(),
  plus_ft: length.optional(),
  before: idSchema.optional(),
  sameAs: idSchema.optional(),
  use: z.boolean().optional(),
  /** A stretch whose first end was called and whose other end is still open. Default false. */
  open: z.boolean().optional(),
  stage: z.enum(stages).optional(),
  clock: clock.optional(),
  waterClock: clockPosition.optional(),
  note: text.optional(),
  clip: idSchema.optional(),
  video_s: z.number().min(0).max(1_000_000).optional(),
  photos: z.array(z.string().max(200)).max(50).optional(),
};

const findingFields = {
  ...readings,
  kind: z.literal('finding'),
  size: z.enum(sizes).optional(),
  atJoint: z.boolean().optional(),
  eachJoint: z.boolean().optional(),
  touchesFlow: z.boolean().optional(),
  /**
   * It belongs to the main's own tap or saddle: referred to the main's owner, no grade on this line. Default false.
   */
  ofConnection: z.boolean().optional(),
  possible: z.boolean().optional(),
  judged: z
    .strictObject({
      grade: z.union([z.literal(0), z.literal(1), z.literal(2), z.literal(3), z.literal(4)]),
      why: text,
    })
    .optional(),
};
/** The schemas of all rows in findings/kinds, in their order. */
type FindingSchemas<Rows> = {
  readonly [K in keyof Rows]: Rows[K] extends FindingRow<infer Id, infer Fields>
    ? z.ZodObject<typeof findingFields & { finding: z.ZodLiteral<Id> } & Fields, z.core.$strict>
    : never;
};
const findingSchemas = findingRows.map(({ id, fields }) =>
  z.strictObject({ ...findingFields, finding: z.literal(id), ...fields(fieldTypes) }),
) as unknown as FindingSchemas<typeof findingRows>;
export const findingEntrySchema = z.discriminatedUnion('finding', findingSchemas);

export const entrySchema = z
  .discriminatedUnion('kind', [
    z.strictObject({ ...readings, kind: z.literal('point'), point: idSchema }),
    z.strictObject({
      ...readings,
      kind: z.literal('change'),
      upstream: pipeSchema.optional(),
      downstream: pipeSchema.optional(),
    }),
    findingEntrySchema,
    z.strictObject({ ...readings, kind: z.literal('hidden'), why: text.optional() }),
    z.strictObject({
      ...readings,
      kind: z.literal('locate'),
      depth_ft: z.number().min(0).max(100).optional(),
      of: idSchema.optional(),
      end: z.enum(['from', 'to']).optional(),
      station_ft: station.optional(),
      mark: text.optional(),
    }),
    z.strictObject({
      ...readings,
      kind: z.literal('test'),
      what: text,
      of: text.optional(),
      arrives: z.boolean().optional(),
      runsAway: z.boolean().optional(),
    }),
    z.strictObject({ ...readings, kind: z.literal('joint') }),
    z.strictObject({ ...readings, kind: z.literal('stop'), why: text.optional() }),
    /** A note, with or without a place: "seen, none: roots", "all good". Not graded. */
    z.strictObject({ ...readings, kind: z.literal('note') }),
  ])
  .superRefine((entry, context) => {
    if (entry.kind !== 'note' && entry.reading_ft === undefined && entry.after === undefined) {
      context.addIssue({
        code: 'custom',
        path: ['reading_ft'],
        message: 'give what the counter read, or `after` with the id of the entry it came after',
      });
    }
    if (entry.kind === 'note' && (entry.note ?? '') === '') {
      context.addIssue({ code: 'custom', path: ['note'], message: 'a note needs some text' });
    }
    if (entry.reading_ft !== undefined && entry.after !== undefined) {
      context.addIssue({
        code: 'custom',
        path: ['after'],
        message: 'an entry with a reading takes no `after`',
      });
    }
    if (entry.reading_ft === undefined && entry.to_ft !== undefined) {
      context.addIssue({
        code: 'custom',
        path: ['to_ft'],
        message: 'a stretch needs `reading_ft` for its first end',
      });
    }
    if (entry.open === true && (entry.to_ft !== undefined || !['finding', 'hidden'].includes(entry.kind))) {
      context.addIssue({
        code: 'custom',
        path: ['open'],
        message: 'only a finding or a hidden stretch with one end called is open',
      });
    }
    if (entry.plus_ft !== undefined && entry.before !== undefined) {
      context.addIssue({ code: 'custom', path: ['before'], message: 'give `plus_ft` or `before`, not both' });
    }
  });

const runFields = z.strictObject({
  id: idSchema,
  access: idSchema,
  direction: z.enum(['downstream', 'upstream']),
  zero: z.enum(['cap', 'pipe', 'reading', 'unknown']),
  zeroReading_ft: length.optional(),
  /** Default `current`. */
  stage: z.enum(stages).optional(),
  on: day.optional(),
  name: text.optional(),
  video: z
    .array(z.strictObject({ id: idSchema, name: text }))
    .max(50)
    .optional(),
});

function zeroNoted(
  run: { zero: string; zeroReading_ft?: number | undefined },
  context: { addIssue(issue: { code: 'custom'; path: string[]; message: string }): void },
): void {
  if (run.zero === 'reading' && run.zeroReading_ft === undefined) {
    context.addIssue({
      code: 'custom',
      path: ['zeroReading_ft'],
      message: 'zero `reading` needs what the counter showed at the access point',
    });
  }
}

/** A run without its entries, as it is edited and stored. */
export const runHeadSchema = runFields.superRefine(zeroNoted);
const runSchema = runFields.extend({ entries: z.array(entrySchema).max(2000) }).superRefine(zeroNoted);

const pinSchema = wholeStretch(
  z.strictObject({
    ...stretch,
    id: idSchema.optional(),
    method: z.enum(methods).optional(),
    never: z.array(z.enum(methods)).min(1).max(8).optional(),
    /** The pinned action must end where the pin does. Default: it may extend past it. */
    endsHere: z
      .array(z.enum(['from', 'to']))
      .max(2)
      .optional(),
    /** No liner or burst may span this station in one piece; the pin's two ends are equal. Default false. */
    split: z.literal(true).optional(),
  }),
).superRefine((pin, context) => {
  const says = [pin.method, pin.never, pin.split].filter((each) => each !== undefined).length;
  if (says !== 1) {
    context.addIssue({
      code: 'custom',
      path: ['method'],
      message:
        'a pin says one of `method` (do this here), `never` (not these here), `split` (no piece runs past)',
    });
  }
  if (pin.endsHere !== undefined && pin.method === undefined) {
    context.addIssue({
      code: 'custom',
      path: ['endsHere'],
      message: 'only a pin with a `method` ends somewhere',
    });
  }
});
export const pinsSchema = z.array(pinSchema).max(500);

const cleaningSchema = z
  .strictObject({
    from_ft: station,
    to_ft: station,
    tool: text.optional(),
    access: idSchema.optional(),
    on: day.optional(),
    /** Default `all`. */
    cleared: z.enum(['all', 'most', 'some']).optional(),
    /** Width cleaned by the blade or nozzle; less than the bore cleans only the middle. Default: the bore. */
    blade_in: bore.optional(),
  })
  .refine((cleaning) => cleaning.from_ft <= cleaning.to_ft, {
    path: ['to_ft'],
    message: 'stations run backwards',
  });

const tapeSchema = z.strictObject({ mark: idSchema, distance_ft: length });

export const lineSchema = z.strictObject({
  id: idSchema,
  name: text.optional(),
  datum: idSchema,
  end: idSchema,
  serves: z
    .array(z.strictObject({ what: text, here: z.enum(['yes', 'no', 'unknown']) }))
    .max(200)
    .optional(),
  pipe: pipeSchema.optional(),
  points: z.array(pointSchema).max(500),
  depths: z
    .array(z.strictObject({ station_ft: station, invert_ft: z.number().min(0).max(100), on: day.optional() }))
    .max(500)
    .optional(),
  ground: z
    .array(z.strictObject({ station_ft: station, elevation_ft: z.number().min(-2000).max(30_000) }))
    .max(500)
    .optional(),
  surfaces: z
    .array(wholeStretch(z.strictObject({ ...stretch, kind: z.enum(surfaceKinds) })))
    .max(500)
    .optional(),
  owners: z
    .array(wholeStretch(z.strictObject({ ...stretch, owner: z.enum(ownerKinds) })))
    .max(500)
    .optional(),
  crossings: z
    .array(z.strictObject({ station_ft: station, utility: text, depth_ft: length.optional() }))
    .max(500)
    .optional(),
  noDig: z
    .array(wholeStretch(z.strictObject({ ...stretch, why: text.optional() })))
    .max(500)
    .optional(),
  marks: z
    .array(z.strictObject({ id: idSchema, name: text }))
    .max(500)
    .optional(),
  /** Distances between marks, taped on the ground. */
  markDistances: z
    .array(z.strictObject({ from: idSchema, to: idSchema, distance_ft: z.number().gt(0).max(10_000) }))
    .max(500)
    .optional(),
  /** Places tied to two marks by tape: `of` is a point, an entry or another mark. */
  places: z
    .array(
      z.strictObject({
        of: idSchema,
        tapes: z.tuple([tapeSchema, tapeSchema]),
        /** Which side it is on, facing the second mark from the first. */
        side: z.enum(['left', 'right']),
      }),
    )
    .max(500)
    .optional(),
  soil: z.enum(soils).optional(),
  groundwater_ft: length.optional(),
  runs: z.array(runSchema).max(200),
  cleanings: z.array(cleaningSchema).max(500).optional(),
  pins: pinsSchema.optional(),
  /** Findings, by entry id, cured although the repair approach would leave them: options the customer took. */
  alsoCure: z.array(idSchema).max(200).optional(),
});

/** A line without its runs, as it is edited and stored. */
export const lineHeadSchema = lineSchema.omit({ runs: true });

export const siteSchema = z.strictObject({
  address: text.optional(),
  customer: text.optional(),
  complaint: text.optional(),
  notes: text.optional(),
  notLookedAt: z.array(text).max(200).optional(),
  /** Air temperature on the day the liner is installed, °F, for the resin. Default 70, shown as assumed. */
  temperature_F: z.number().min(-40).max(200).optional(),
});

/** How this job's offer is presented to the customer; anything missing falls back to the company's. */
export const offerTermsSchema = z.strictObject({
  /** Options shown side by side. Default: all three. */
  ways: z.array(z.enum(schools)).min(1).max(3).optional(),
  /** Date of the offer. Default: the day it is viewed. */
  on: day.optional(),
  /** Days for which prices hold. Default: the company's, else 30. */
  validity_days: z.number().int().min(1).max(3650).optional(),
  terms: text.optional(),
});

const plainJobSchema = z.strictObject({
  format: z.literal('open-trench-job'),
  version: z.literal(1),
  title: text,
  number: text.optional(),
  inspectedOn: day.optional(),
  reason: z.enum(['backup', 'purchase', 'follow-up', 'planned']).optional(),
  site: siteSchema.optional(),
  lines: z.array(lineSchema).min(1).max(50),
  rules: rulesSchema.optional(),
  prices: pricesSchema.optional(),
  offer: offerTermsSchema.optional(),
  plan: jobPlanSchema.optional(),
});

/** An accepted offer: frozen with the job as it was then, under its company's rules and prices. */
export const acceptanceSchema = z.strictObject({
  on: day,
  by: text.optional(),
  school: z.enum(schools),
  /** The agreed price, in the price book's currency; later versions of the program do not change it. */
  total: z.number().min(0),
  job: plainJobSchema,
});

export const jobSchema = plainJobSchema.extend({ accepted: acceptanceSchema.optional() });
/** A job without its lines and accepted offer, as it is edited and stored. */
export const jobHeadSchema = plainJobSchema.omit({ format: true, version: true, lines: true });

export type JobHead = z.infer<typeof jobHeadSchema>;
export type LineHead = z.infer<typeof lineHeadSchema>;
export type RunHead = z.infer<typeof runHeadSchema>;
export type Job = z.infer<typeof jobSchema>;
export type PlainJob = z.infer<typeof plainJobSchema>;
export type Acceptance = z.infer<typeof acceptanceSchema>;
export type OfferTerms = z.infer<typeof offerTermsSchema>;
export type Line = z.infer<typeof lineSchema>;
export type Point = z.infer<typeof pointSchema>;
export type Run = z.infer<typeof runSchema>;
export type Entry = z.infer<typeof entrySchema>;
/** An entry without its id. */
export type EntryDraft = Entry extends infer E ? (E extends Entry ? Omit<E, 'id'> : never) : never;
export type FindingEntry = z.infer<typeof findingEntrySchema>;
export type Pipe = z.infer<typeof pipeSchema>;
export type Pin = z.infer<typeof pinSchema>;

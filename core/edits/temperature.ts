import { editKind } from './kind.js';

type Set = { readonly temperature_F: number } | null;

/** Air temperature of the day, °F: a job field edited on its own, since the crew at the pipe sets it. */
export const temperatureEdit = editKind({
  kind: 'temperature',
  schema: ({ z, siteSchema }) =>
    z.strictObject({
      kind: z.literal('temperature'),
      set: siteSchema.pick({ temperature_F: true }).required().nullable(),
    }),
  read: ({ site }) => (site?.temperature_F === undefined ? null : { temperature_F: site.temperature_F }),
  write(job, { set }) {
    const { site, ...rest } = job;
    const { temperature_F: _before, ...others } = site ?? {};
    const now = { ...others, ...set };
    return Object.keys(now).length > 0 ? { ...rest, site: now } : rest;
  },
  // Concurrent edits of the job are merged with it field by field.
  things: () => ['job'],
  row: () => ({ of: 'job' }),
  say: ({ set }, before) => `Temperature of the day: ${said(before.set)} → ${said(set)}`,
});

const said = (set: Set) => (set ? `${set.temperature_F} °F` : 'not said');

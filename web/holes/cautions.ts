import { feet } from '../controls/format';
import type { Pit } from './hole-order';

/** The caution wherever a line is cleaned. */
export const cleaningCaution =
  'Jetters and cables injure: gloves, eye protection, nozzle in the pipe before pressure.';

/** Only the cautions that apply to this excavation. */
export function cautionsOf(pit: Pit): string[] {
  return [
    ...pit.figures.cautions,
    ...pit.sheet.crossings.map(
      ({ utility, station_ft, depth_ft }) =>
        `Dig by hand within 2 ft of the ${utility} at ${feet(station_ft)} ft${depth_ft === undefined ? ', depth unknown' : `, ${feet(depth_ft)} deep`}.`,
    ),
    ...(pit.sheet.crossings.length === 0
      ? ['No utility is recorded across this excavation; that is not the same as none.']
      : []),
    ...(pit.sheet.isPublic
      ? ['Public ground: permit on site, cones and a way round for traffic and for people on foot.']
      : []),
    ...(/concrete|asphalt|street|sidewalk|pavers/.test(pit.surface)
      ? ['Saw wet: the dust of concrete and paving harms the lungs.']
      : []),
    'The line is in use: plug it, or no water in the house while the pipe is open. Sewer air: test before going in.',
  ];
}

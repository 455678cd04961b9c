import { chakra } from '@chakra-ui/react';
import { materialWords } from '../../core/catalog/materials.js';
import { coversLens } from '../../core/practice/pipe.js';
import type { Picture } from '../../core/practice/reel.js';
import { wrapClock } from '../../core/survey/clock.js';
import { ringAt, size } from './lens';
import { Thing } from './things';
import { Wall } from './wall';
import { Water } from './water';

/** The camera's picture, drawn: the pipe receding from the lens, what is in it, and the water at the bottom. */
export function ReelPicture({
  picture,
  reading_ft,
  simulated,
  tall = '300px',
}: {
  picture: Picture;
  reading_ft: number;
  simulated: boolean;
  tall?: string;
}) {
  const turn = picture.roll * 30 * (picture.mirrored ? -1 : 1);
  const dark = ringAt(picture, 7);
  return (
    <chakra.svg
      viewBox={`0 0 ${size} ${size}`}
      width="100%"
      maxHeight={tall}
      bg="#0c0f11"
      role="img"
      aria-label={`${simulated ? 'Simulated picture' : 'Picture'} at ${reading_ft.toFixed(1)}: ${sayView(picture)}`}
      data-testid="picture"
    >
      <defs>
        <radialGradient id="lens-light" cx="50%" cy="50%" r="50%">
          <stop offset="0%" stopColor="#000" stopOpacity="0" />
          <stop offset="78%" stopColor="#000" stopOpacity="0" />
          <stop offset="100%" stopColor="#000" stopOpacity="0.65" />
        </radialGradient>
        <clipPath id="lens-bore">
          <circle cx={size / 2} cy={size / 2} r={146} />
        </clipPath>
      </defs>
      <g
        clipPath="url(#lens-bore)"
        transform={`${picture.mirrored ? `translate(${size} 0) scale(-1 1)` : ''} rotate(${turn} ${size / 2} ${size / 2})`}
      >
        <Wall picture={picture} />
        <circle cx={dark.x} cy={dark.y} r={dark.r} fill="#040506" />
        {[...picture.things].reverse().map((thing) => (
          <Thing key={`${thing.what} ${thing.at_ft}`} thing={thing} picture={picture} />
        ))}
        <Water picture={picture} />
        <circle cx={size / 2} cy={size / 2} r={148} fill="url(#lens-light)" />
      </g>
      <text x="8" y="18" fontSize="14" style={{ fill: '#f3eee2' }}>
        {reading_ft.toFixed(1)} ft
      </text>
      {simulated && (
        <text x={size - 8} y={size - 8} fontSize="12" textAnchor="end" style={{ fill: '#f3eee2' }}>
          simulated picture
        </text>
      )}
    </chakra.svg>
  );
}

/** Distance within which the head counts as being at something, ft. */
const atHead_ft = 0.3;

const thingWords: Readonly<Record<Picture['things'][number]['what'], string>> = {
  roots: 'roots',
  deposit: 'grease',
  crack: 'crack',
  offset: 'offset',
  separation: 'open joint',
  hole: 'hole',
  'tie-in': 'branch',
  cleanout: 'cleanout',
  bend: 'bend',
  main: 'main',
};

/** The picture in words, for screen readers. */
function sayView(picture: Picture): string {
  if (picture.inRiser) return 'still in the riser';
  if (picture.water_in >= picture.diameter_in * coversLens) return 'the lens is under water';
  const near = picture.things.filter(({ ahead_ft }) => Math.abs(ahead_ft) <= atHead_ft);
  const said = [
    ...near.map(({ what }) => thingWords[what]),
    ...(picture.joints.some((ahead) => Math.abs(ahead) <= atHead_ft) ? ['joint'] : []),
    ...(picture.change && Math.abs(picture.change.ahead_ft) <= atHead_ft
      ? [`change to ${materialWords(picture.change.material)}`]
      : []),
    ...(picture.water_in > 0.18 ? ['water standing'] : []),
  ];
  const water = wrapClock(6 + picture.roll * (picture.mirrored ? -1 : 1));
  const turned = picture.roll === 0 ? '' : `; the water lies at ${water} o’clock on the screen`;
  return `${materialWords(picture.material)} pipe, ${said.length > 0 ? `${said.join(', ')} at the head` : 'nothing at the head'}${turned}`;
}

import { chakra } from '@chakra-ui/react';
import type { Picture, PictureThing } from './reel';

const walls: Readonly<Record<string, string>> = {
  abs: '#2b3036',
  'pvc-sch40': '#d9dcd8',
  'pvc-sdr35': '#7ea58a',
  clay: '#a0694a',
  concrete: '#9a968c',
  'cast-iron': '#5b4a40',
};
const size = 300;
const middle = size / 2;
const wall = 142;

/** How large the bore looks so far ahead, as a share of the bore at the lens. */
const shrink = (ahead_ft: number): number => 1 / (1 + 0.55 * Math.max(0, ahead_ft));
const angle = (clock: number): number => ((clock / 12) * 2 - 0.5) * Math.PI;
const at = (radius: number, clock: number): [number, number] => [
  middle + radius * Math.cos(angle(clock)),
  middle + radius * Math.sin(angle(clock)),
];

/** What the camera shows, drawn: rings of pipe running away from the lens, and what stands in them. */
export function ReelPicture({
  picture,
  reading_ft,
  simulated,
}: {
  picture: Picture;
  reading_ft: number;
  simulated: boolean;
}) {
  const base = walls[picture.material] ?? '#8b7d6b';
  const rings = [5, 3.2, 2, 1.2, 0.6, 0].map((ahead) => ({ ahead, r: wall * shrink(ahead) }));
  const near = picture.things.filter(({ ahead_ft }) => Math.abs(ahead_ft) <= 0.3);
  const turn = picture.roll * 30 * (picture.mirrored ? -1 : 1);
  return (
    <chakra.svg
      viewBox={`0 0 ${size} ${size}`}
      width="100%"
      maxHeight="300px"
      bg="#14181b"
      role="img"
      aria-label={`${simulated ? 'Simulated picture' : 'Picture'} at ${reading_ft.toFixed(1)}: ${sayView(picture, near)}`}
      data-testid="picture"
    >
      <g
        transform={`${picture.mirrored ? `translate(${size} 0) scale(-1 1)` : ''} rotate(${turn} ${middle} ${middle})`}
      >
        <circle cx={middle} cy={middle} r={wall} fill={base} />
        {rings.slice(0, -1).map(({ ahead, r }, index) => (
          <circle key={ahead} cx={middle} cy={middle} r={r} fill="#000" opacity={index === 0 ? 0.55 : 0.16} />
        ))}
        {picture.change && (
          <circle
            cx={middle}
            cy={middle}
            r={wall * shrink(picture.change.ahead_ft)}
            fill={walls[picture.change.material] ?? '#8b7d6b'}
            opacity="0.75"
            stroke="#111"
            strokeWidth="2"
          />
        )}
        {picture.joints.map((ahead) => (
          <circle
            key={ahead}
            cx={middle}
            cy={middle}
            r={wall * shrink(ahead)}
            fill="none"
            stroke="#15100c"
            strokeWidth={Math.max(1, 5 * shrink(ahead))}
            opacity="0.7"
          />
        ))}
        <Water picture={picture} />
        {[...picture.things].reverse().map((thing) => (
          <Thing key={`${thing.what} ${thing.ahead_ft}`} thing={thing} />
        ))}
        <circle cx={middle} cy={middle} r={wall * shrink(7)} fill="#050607" />
      </g>
      <text x="10" y="20" fontSize="14" style={{ fill: '#f3eee2' }}>
        {reading_ft.toFixed(1)} ft
      </text>
      {simulated && (
        <text x={size - 10} y="20" fontSize="13" textAnchor="end" style={{ fill: '#f3eee2' }}>
          simulated picture
        </text>
      )}
    </chakra.svg>
  );
}

/** Water lies at the bottom of the pipe, whichever way the head is turned. */
function Water({ picture: { water_in, diameter_in } }: { picture: Picture }) {
  const level = wall * (1 - (2 * water_in) / diameter_in);
  const half = Math.sqrt(Math.max(0, wall * wall - level * level));
  return (
    <path
      d={`M${middle - half} ${middle + level} A${wall} ${wall} 0 0 0 ${middle + half} ${middle + level} Z`}
      fill="#5f93a8"
      opacity="0.8"
    />
  );
}

function Thing({ thing }: { thing: PictureThing }) {
  const r = wall * shrink(thing.ahead_ft);
  const [from, to] =
    thing.clock === undefined
      ? [12, 12]
      : typeof thing.clock === 'number'
        ? [thing.clock - 0.6, thing.clock + 0.6]
        : thing.clock;
  const span = to > from ? to - from : to + 12 - from;
  switch (thing.what) {
    case 'roots': {
      const strands = Math.round(span * 6);
      const long = r * Math.min(0.9, 0.25 + (thing.percent ?? 10) / 70);
      return (
        <g
          stroke="#e6d9b8"
          strokeWidth={Math.max(0.8, 1.8 * shrink(thing.ahead_ft))}
          fill="none"
          opacity="0.9"
        >
          {Array.from({ length: strands }, (_, i) => {
            const clock = from + (span * (i + 0.5)) / strands;
            const [x1, y1] = at(r, clock);
            const [x2, y2] = at(
              r - long * (0.6 + 0.4 * Math.abs(Math.sin(i * 2.3))),
              clock + 0.35 * Math.sin(i * 1.7),
            );
            return <path key={i} d={`M${x1} ${y1} Q${(x1 + x2) / 2 + 6} ${(y1 + y2) / 2} ${x2} ${y2}`} />;
          })}
        </g>
      );
    }
    case 'crack':
      return thing.form === 'along' ? (
        <line
          x1={at(r, from)[0]}
          y1={at(r, from)[1]}
          x2={at(r * 0.5, from)[0]}
          y2={at(r * 0.5, from)[1]}
          stroke="#000"
          strokeWidth="2"
        />
      ) : (
        <circle
          cx={middle}
          cy={middle}
          r={r * 0.985}
          fill="none"
          stroke="#000"
          strokeWidth="2"
          strokeDasharray="9 3 14 4"
        />
      );
    case 'step':
      return (
        <circle
          cx={middle}
          cy={middle - 5 * shrink(thing.ahead_ft)}
          r={r * 0.94}
          fill="none"
          stroke="#f0e6d2"
          strokeWidth={7 * shrink(thing.ahead_ft)}
          opacity="0.6"
        />
      );
    case 'gap':
      return (
        <circle
          cx={middle}
          cy={middle}
          r={r}
          fill="none"
          stroke="#000"
          strokeWidth={14 * shrink(thing.ahead_ft)}
        />
      );
    case 'hole':
      return (
        <circle
          cx={at(r * 0.94, from + 0.6)[0]}
          cy={at(r * 0.94, from + 0.6)[1]}
          r={18 * shrink(thing.ahead_ft)}
          fill="#000"
        />
      );
    case 'tie-in':
    case 'cleanout': {
      const [x, y] = at(r, thing.what === 'cleanout' ? 12 : from + 0.6);
      return (
        <circle
          cx={x}
          cy={y}
          r={26 * shrink(thing.ahead_ft)}
          fill="#090a0b"
          stroke="#ddd"
          strokeWidth="1.5"
        />
      );
    }
    case 'bend':
      return <circle cx={middle + 40} cy={middle} r={r * 0.7} fill="#000" opacity="0.55" />;
    case 'main':
      return (
        <ellipse
          cx={middle}
          cy={middle}
          rx={r * 0.98}
          ry={r * 0.9}
          fill="#06080a"
          stroke="#cfc4ae"
          strokeWidth="3"
        />
      );
    default:
      return null;
  }
}

/** The picture in words, for those who cannot see it. */
function sayView(picture: Picture, near: readonly PictureThing[]): string {
  if (picture.inRiser) return 'still in the riser';
  const joint = picture.joints.some((ahead) => Math.abs(ahead) <= 0.3);
  const said = [
    ...near.map(({ what }) => what),
    ...(joint ? ['joint'] : []),
    ...(picture.change && Math.abs(picture.change.ahead_ft) <= 0.3
      ? [`change to ${picture.change.material}`]
      : []),
    ...(picture.water_in > 0.3 ? ['water standing'] : []),
  ];
  return `${picture.material} pipe, ${said.length > 0 ? `${said.join(', ')} at the head` : 'nothing at the head'}`;
}

import type { Picture } from '../../core/practice/reel.js';
import { lit, onRing, ringAt, speckle } from './lens';

interface Look {
  readonly color: string;
  /** Texture of the wall: specks of rust or stone, glaze lines, a shine. */
  readonly texture: 'rust' | 'stone' | 'glaze' | 'shine';
}

const looks: Readonly<Record<string, Look>> = {
  abs: { color: '#3a4047', texture: 'shine' },
  'pvc-sch40': { color: '#dfe2dd', texture: 'shine' },
  'pvc-sdr35': { color: '#84b395', texture: 'shine' },
  hdpe: { color: '#2f3338', texture: 'shine' },
  clay: { color: '#b0704c', texture: 'glaze' },
  concrete: { color: '#a9a59a', texture: 'stone' },
  'cast-iron': { color: '#7b5a44', texture: 'rust' },
};
const lookOf = (material: string): Look => looks[material] ?? { color: '#8b7d6b', texture: 'stone' };

const sight_ft = 7;
const rings = Array.from({ length: 29 }, (_, i) => (sight_ft * i) / 28);
const specks = Array.from({ length: 150 }, (_, i) => i);

/** The pipe's wall receding from the lens into the dark, in the material of each stretch. */
export function Wall({ picture }: { picture: Picture }) {
  const { change } = picture;
  const materialAt = (ahead: number) =>
    change && ahead >= change.ahead_ft ? change.material : picture.material;
  return (
    <g>
      {rings.map((ahead) => {
        const ring = ringAt(picture, ahead);
        return (
          <circle
            key={ahead}
            cx={ring.x}
            cy={ring.y}
            r={ring.r}
            fill={lit(lookOf(materialAt(ahead)).color, ring.light)}
          />
        );
      })}
      <Texture picture={picture} materialAt={materialAt} />
      {picture.joints.map((ahead) => (
        <Joint key={ahead} picture={picture} ahead={ahead} />
      ))}
      {change && <Edge picture={picture} ahead={change.ahead_ft} />}
    </g>
  );
}

/** Specks are fixed in the pipe and approach the lens as it moves. */
function Texture({ picture, materialAt }: { picture: Picture; materialAt: (ahead: number) => string }) {
  return (
    <g>
      {specks.map((i) => {
        const ahead = ((speckle(i, 3) * sight_ft - picture.travel_ft) % sight_ft) + sight_ft;
        const at = ahead % sight_ft;
        const clock = speckle(i, 7) * 12;
        const ring = ringAt(picture, at);
        const { texture, color } = lookOf(materialAt(at));
        const [x, y] = onRing(ring, clock, 0.985);
        if (texture === 'shine') {
          if (i > 12) return null;
          const far = onRing(ringAt(picture, at + 0.8), clock, 0.985);
          return (
            <path
              key={i}
              d={`M${x} ${y} L${far[0]} ${far[1]}`}
              stroke="#fff"
              strokeWidth={2.2 * (ring.r / 146)}
              opacity={0.22 * ring.light}
            />
          );
        }
        if (texture === 'glaze') {
          const far = onRing(ringAt(picture, at + 0.35), clock, 0.985);
          return (
            <path
              key={i}
              d={`M${x} ${y} L${far[0]} ${far[1]}`}
              stroke={lit('#5e3421', ring.light * 1.3)}
              strokeWidth={1.6 * (ring.r / 146)}
              opacity="0.6"
            />
          );
        }
        const r = (texture === 'rust' ? 3 + 7 * speckle(i, 11) : 1.5 + 2 * speckle(i, 11)) * (ring.r / 146);
        return (
          <ellipse
            key={i}
            cx={x}
            cy={y}
            rx={r}
            ry={r * 0.7}
            fill={lit(texture === 'rust' ? '#a35d2c' : color, ring.light * (texture === 'rust' ? 0.95 : 0.7))}
            opacity="0.75"
          />
        );
      })}
    </g>
  );
}

function Joint({ picture, ahead }: { picture: Picture; ahead: number }) {
  if (ahead < -0.1) return null;
  const ring = ringAt(picture, ahead);
  const near = ring.r / 146;
  return (
    <g fill="none">
      <circle
        cx={ring.x}
        cy={ring.y}
        r={ring.r}
        stroke="#0b0907"
        strokeWidth={Math.max(1, 4.5 * near)}
        opacity="0.85"
      />
      <circle
        cx={ring.x}
        cy={ring.y}
        r={ring.r - 3.5 * near}
        stroke="#fff"
        strokeWidth={Math.max(0.5, 1.2 * near)}
        opacity={0.35 * ring.light}
      />
    </g>
  );
}

/** A change from one material to another. */
function Edge({ picture, ahead }: { picture: Picture; ahead: number }) {
  const ring = ringAt(picture, ahead);
  return (
    <circle
      cx={ring.x}
      cy={ring.y}
      r={ring.r}
      fill="none"
      stroke="#0b0907"
      strokeWidth={Math.max(1.5, 6 * (ring.r / 146))}
    />
  );
}

import { coversLens } from '../../core/practice/pipe.js';
import type { Picture } from '../../core/practice/reel.js';
import { path, ringAt, size } from './lens';

/** Water is level at the bottom of the pipe, whichever way the head is turned; above the lens nothing is seen. */
export function Water({ picture }: { picture: Picture }) {
  const share = picture.water_in / picture.diameter_in;
  if (share >= coversLens)
    return (
      <g>
        <rect width={size} height={size} fill="#4b5f55" />
        <rect width={size} height={size} fill="#2b3a36" opacity="0.55" />
        {Array.from({ length: 24 }, (_, i) => (
          <circle
            key={i}
            cx={(i * 97) % size}
            cy={(i * 61) % size}
            r={1.5 + (i % 4)}
            fill="#c9d2c6"
            opacity="0.25"
          />
        ))}
      </g>
    );
  const near = chord(ringAt(picture, 0), share);
  const far = chord(ringAt(picture, 6.5), share);
  const ring = ringAt(picture, 0);
  return (
    <g>
      <path d={path([near.left, near.right, far.right, far.left], true)} fill="#6fa3b8" opacity="0.62" />
      <path
        d={`M${near.left.join(' ')} A${ring.r} ${ring.r} 0 ${share > 0.5 ? 1 : 0} 0 ${near.right.join(' ')} Z`}
        fill="#4d8096"
        opacity="0.7"
      />
      <path d={path([near.left, far.left])} stroke="#d8edf4" strokeWidth="1.2" opacity="0.7" fill="none" />
      <path d={path([near.right, far.right])} stroke="#d8edf4" strokeWidth="1.2" opacity="0.7" fill="none" />
      <ellipse
        cx={(far.left[0] + far.right[0]) / 2}
        cy={(near.left[1] + far.left[1]) / 2}
        rx={Math.max(3, (far.right[0] - far.left[0]) * 0.4)}
        ry="4"
        fill="#fff"
        opacity="0.35"
      />
    </g>
  );
}

/** Where the water's edge meets the wall of a ring. */
function chord({ x, y, r }: ReturnType<typeof ringAt>, share: number) {
  const down = r * (1 - 2 * share);
  const half = Math.sqrt(Math.max(0, r * r - down * down));
  return { left: [x - half, y + down] as const, right: [x + half, y + down] as const };
}

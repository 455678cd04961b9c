import { Circle, G, Line, Path, Rect, Svg, Text } from '@react-pdf/renderer';
import { Children, isValidElement, type ReactElement, type ReactNode } from 'react';
import { colors, inFont } from './paper';

type Props = Readonly<Record<string, unknown>>;
type Shape = Props & { readonly style?: { readonly fill?: string } };

/** Style that a shape inherits from its group. */
const inherited = ['fill', 'stroke', 'strokeWidth', 'strokeDasharray', 'opacity'] as const;
const hatch = '#f3e3da';
/** Width of a character as a fraction of its height. */
const letterWidth = 0.62;

/** A screen color in its print version; a hatch becomes a light tint. */
function color(value: unknown): string | undefined {
  if (typeof value === 'number') return String(value);
  if (typeof value !== 'string') return undefined;
  if (value.startsWith('url(')) return hatch;
  const name = /^var\(--chakra-colors-([\w-]+)\)$/.exec(value)?.[1];
  return name === undefined ? value : (colors[name] ?? colors.ink);
}

/**
 * An on-screen drawing on paper: the same elements with the same numbers, so that no geometry is written twice. The
 * drawing must be a component without state; elements other than shapes are dropped.
 */
export function Drawn({
  drawing,
  width: widest,
  height: highest = Infinity,
}: {
  drawing: ReactElement<Props>;
  width: number;
  height?: number;
}) {
  const { viewBox, children } = drawing.props as { viewBox: string; children: ReactNode };
  const [, , w = 1, h = 1] = viewBox.split(' ').map(Number);
  const width = Math.min(widest, (highest * w) / h);
  return (
    <Svg viewBox={viewBox} width={width} height={(width * h) / w}>
      {shapes(children, {})}
    </Svg>
  );
}

function shapes(children: ReactNode, above: Props): ReactNode {
  return Children.toArray(children).flatMap((child, i) => {
    if (!isValidElement<Props>(child)) return [];
    const inside = child.props.children as ReactNode;
    if (typeof child.type === 'symbol') return shapes(inside, above);
    if (typeof child.type !== 'string') return [];
    const own: Shape = { ...above, ...child.props };
    const given: Props = Object.fromEntries(
      inherited.map((name) => [name, color(own[name])] as const).filter(([, value]) => value !== undefined),
    );
    if (child.type === 'g') return <G key={i}>{shapes(inside, given)}</G>;
    if (child.type === 'text') return <Words key={i} own={own} text={inFont(textOf(inside))} />;
    const Shape = plain[child.type];
    return Shape ? <Shape key={i} own={own} given={given} /> : [];
  });
}

interface ShapeProps {
  readonly own: Shape;
  /** Props passed on to paper: colors and strokes. */
  readonly given: Props;
}

const at = (own: Shape, name: string) => Number(own[name] ?? 0);

const plain: Record<string, (shape: ShapeProps) => ReactNode> = {
  path: ({ own, given }) => (
    <Path {...given} d={String(own.d)} fill={given.fill === undefined ? 'none' : (given.fill as string)} />
  ),
  rect: ({ own, given }) => (
    <Rect {...given} x={at(own, 'x')} y={at(own, 'y')} width={at(own, 'width')} height={at(own, 'height')} />
  ),
  circle: ({ own, given }) => <Circle {...given} cx={at(own, 'cx')} cy={at(own, 'cy')} r={at(own, 'r')} />,
  line: ({ own, given }) => (
    <Line {...given} x1={at(own, 'x1')} y1={at(own, 'y1')} x2={at(own, 'x2')} y2={at(own, 'y2')} />
  ),
};

/** A halo is a stroke behind the letters, which PDF text lacks: a patch of the background replaces it. */
function Words({ own, text }: { own: Shape; text: string }) {
  const size = at(own, 'fontSize');
  const [x, y] = [at(own, 'x'), at(own, 'y')];
  const halo = own.paintOrder === 'stroke' ? color(own.stroke) : undefined;
  const across = text.length * size * letterWidth;
  return (
    <G>
      {halo && <Rect x={x - across / 2} y={y - size} width={across} height={size * 1.3} fill={halo} />}
      <Text
        x={x}
        y={y}
        textAnchor={(own.textAnchor as 'start' | 'middle' | 'end' | undefined) ?? 'start'}
        fill={color(own.style?.fill) ?? colors.ink ?? 'black'}
        style={{
          fontFamily: ['Body', 'BodyX'],
          fontSize: size,
          fontWeight: own.fontWeight === 700 ? 700 : 400,
        }}
      >
        {text}
      </Text>
    </G>
  );
}

const textOf = (children: ReactNode): string =>
  Children.toArray(children)
    .map((each) => (typeof each === 'string' || typeof each === 'number' ? String(each) : ''))
    .join('');

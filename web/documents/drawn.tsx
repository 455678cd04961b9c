import { Circle, G, Line, Path, Rect, Svg, Text } from '@react-pdf/renderer';
import { Children, isValidElement, type ReactElement, type ReactNode } from 'react';
import { colours, inFont } from './paper';

type Props = Readonly<Record<string, unknown>>;
type Shape = Props & { readonly style?: { readonly fill?: string } };

/** What a shape takes from the group around it. */
const inherited = ['fill', 'stroke', 'strokeWidth', 'strokeDasharray', 'opacity'] as const;
const hatch = '#f3e3da';
/** Width of a letter, of its height. */
const letterWidth = 0.62;

/** A colour of the screens as paper has it; a hatch is a light wash. */
function colour(value: unknown): string | undefined {
  if (typeof value === 'number') return String(value);
  if (typeof value !== 'string') return undefined;
  if (value.startsWith('url(')) return hatch;
  const name = /^var\(--chakra-colors-([\w-]+)\)$/.exec(value)?.[1];
  return name === undefined ? value : (colours[name] ?? colours.ink);
}

/**
 * A drawing of the screens on paper: the same elements with the same numbers, so that no geometry is written twice. The
 * drawing must be a component without state; what is no shape of its own is left out.
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
    if (typeof child.type === 'symbol') return shapes(child.props.children as ReactNode, above);
    if (typeof child.type !== 'string') return [];
    const own: Shape = { ...above, ...child.props };
    const given: Props = Object.fromEntries(
      inherited.map((name) => [name, colour(own[name])] as const).filter(([, value]) => value !== undefined),
    );
    const at = (name: string) => Number(own[name] ?? 0);
    switch (child.type) {
      case 'g':
        return <G key={i}>{shapes(child.props.children as ReactNode, given)}</G>;
      case 'path':
        return (
          <Path
            key={i}
            {...given}
            d={String(own.d)}
            fill={given.fill === undefined ? 'none' : (given.fill as string)}
          />
        );
      case 'rect':
        return <Rect key={i} {...given} x={at('x')} y={at('y')} width={at('width')} height={at('height')} />;
      case 'circle':
        return <Circle key={i} {...given} cx={at('cx')} cy={at('cy')} r={at('r')} />;
      case 'line':
        return <Line key={i} {...given} x1={at('x1')} y1={at('y1')} x2={at('x2')} y2={at('y2')} />;
      case 'text': {
        const text = inFont(textOf(child.props.children as ReactNode));
        const size = at('fontSize');
        // A halo is a stroke under the letters, which paper's text has not: a patch of the ground does it.
        const halo = own.paintOrder === 'stroke' ? colour(own.stroke) : undefined;
        const across = text.length * size * letterWidth;
        return (
          <G key={i}>
            {halo && (
              <Rect
                x={at('x') - across / 2}
                y={at('y') - size}
                width={across}
                height={size * 1.3}
                fill={halo}
              />
            )}
            <Text
              x={at('x')}
              y={at('y')}
              textAnchor={(own.textAnchor as 'start' | 'middle' | 'end' | undefined) ?? 'start'}
              fill={colour(own.style?.fill) ?? colours.ink ?? 'black'}
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
      default:
        return [];
    }
  });
}

const textOf = (children: ReactNode): string =>
  Children.toArray(children)
    .map((each) => (typeof each === 'string' || typeof each === 'number' ? String(each) : ''))
    .join('');

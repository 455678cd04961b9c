import { Circle, G, Line, Path, Rect, Svg, Text } from '@react-pdf/renderer';
import { Children, isValidElement, type ReactElement, type ReactNode } from 'react';
import { colours, inFont } from './paper';

type Props = Record<string, unknown>;

/** What a shape takes from the group around it. */
const inherited = ['fill', 'stroke', 'strokeWidth', 'strokeDasharray', 'opacity'] as const;
const hatch = '#f3e3da';

/** A colour of the screens as paper has it; a hatch is a light wash. */
function colour(value: unknown): unknown {
  if (typeof value !== 'string') return value;
  if (value.startsWith('url(')) return hatch;
  const name = /^var\(--chakra-colors-([\w-]+)\)$/.exec(value)?.[1];
  return name === undefined ? value : (colours[name] ?? onPaper[name] ?? colours.ink);
}

/** Grounds of the drawings. */
const onPaper: Readonly<Record<string, string>> = {
  earth: '#efe6d6',
  stone: '#d9d2c4',
};

/**
 * A drawing of the screens on paper: the same elements with the same numbers, so that no geometry is written twice. The
 * drawing must be a component without state; what is no shape of its own is left out.
 */
export function Drawn({ drawing, width }: { drawing: ReactElement<Props>; width: number }) {
  const { viewBox, children } = drawing.props as { viewBox: string; children: ReactNode };
  const [, , w = 1, h = 1] = viewBox.split(' ').map(Number);
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
    const own = { ...above, ...child.props } as Props & { style?: { fill?: string } };
    const given = Object.fromEntries(
      inherited.map((name) => [name, colour(own[name])]).filter(([, v]) => v !== undefined),
    );
    const at = (name: string) => Number(own[name] ?? 0);
    switch (child.type) {
      case 'g':
        return <G key={i}>{shapes(child.props.children as ReactNode, given)}</G>;
      case 'path':
        return <Path key={i} {...given} d={String(own.d)} fill={String(given.fill ?? 'none')} />;
      case 'rect':
        return <Rect key={i} {...given} x={at('x')} y={at('y')} width={at('width')} height={at('height')} />;
      case 'circle':
        return <Circle key={i} {...given} cx={at('cx')} cy={at('cy')} r={at('r')} />;
      case 'line':
        return <Line key={i} {...given} x1={at('x1')} y1={at('y1')} x2={at('x2')} y2={at('y2')} />;
      case 'text':
        return (
          <Text
            key={i}
            x={at('x')}
            y={at('y')}
            textAnchor={(own.textAnchor as 'start' | 'middle' | 'end' | undefined) ?? 'start'}
            fill={String(colour(own.style?.fill) ?? colours.ink)}
            style={{
              fontFamily: ['Body', 'BodyX'],
              fontSize: at('fontSize'),
              fontWeight: own.fontWeight === 700 ? 700 : 400,
            }}
          >
            {inFont(textOf(child.props.children as ReactNode))}
          </Text>
        );
      default:
        return [];
    }
  });
}

const textOf = (children: ReactNode): string =>
  Children.toArray(children)
    .map((each) => (typeof each === 'string' || typeof each === 'number' ? String(each) : ''))
    .join('');

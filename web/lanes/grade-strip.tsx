import { methodName } from '../../core/methods/index.js';
import { Box, Flex, Text } from '@chakra-ui/react';
import {
  Chart,
  Legend,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  Tooltip,
  type ChartConfiguration,
} from 'chart.js';
import { useEffect, useRef } from 'react';
import type { LineScope } from '../../core/scope/scope.js';
import { OpenFigure } from '../figure/open-figure';
import { feet } from '../controls/format';
import { gutter_px, margin_px, type SheetScale } from '../drawing/sheet-scale';
import type { LineView } from '../../core/views/line-view.js';

Chart.defaults.font.family = "'Atkinson Hyperlegible Next Variable', sans-serif";
Chart.defaults.font.size = 13;
Chart.register(LineController, LineElement, PointElement, LinearScale, Tooltip, Legend);

const colour = (name: string): string =>
  getComputedStyle(document.documentElement).getPropertyValue(`--chakra-colors-${name}`).trim();

/** How the line falls, on the sheet's own axis: inverts, slope against the least, and what it carries before and after. */
export function GradeStrip({ line, scope, scale }: { line: LineView; scope: LineScope; scale: SheetScale }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const { falls } = line;
  const { from_ft, to_ft } = scale.seen;
  useEffect(() => {
    if (!canvas.current || falls.length === 0) return undefined;
    const steps = (value: (fall: (typeof falls)[number]) => number) =>
      falls.flatMap((fall) => [
        { x: fall.from_ft, y: value(fall) },
        { x: fall.to_ft, y: value(fall) },
      ]);
    const [ink, soft, signal, water] = ['ink', 'soft', 'signal', 'water'].map(colour);
    const common = { pointRadius: 0, borderWidth: 2 };
    const config: ChartConfiguration<'line', { x: number; y: number }[]> = {
      type: 'line',
      data: {
        datasets: [
          {
            ...common,
            label: 'Invert, ft',
            data: falls.flatMap(({ from_ft: a, to_ft: b, inverts_ft: [high, low] }) => [
              { x: a, y: high },
              { x: b, y: low },
            ]),
            borderColor: ink,
            yAxisID: 'invert',
          },
          {
            ...common,
            label: 'Slope, in/ft',
            data: steps(({ slope }) => slope.value),
            borderColor: water,
            yAxisID: 'slope',
          },
          {
            ...common,
            label: 'Least slope',
            data: steps(({ least_in_per_ft }) => least_in_per_ft),
            borderColor: signal,
            borderDash: [6, 4],
            yAxisID: 'slope',
          },
        ],
      },
      options: {
        animation: false,
        responsive: true,
        maintainAspectRatio: false,
        layout: { padding: 0 },
        interaction: { mode: 'nearest', axis: 'x', intersect: false },
        plugins: { legend: { labels: { color: ink, boxHeight: 2 } } },
        scales: {
          x: {
            type: 'linear',
            min: from_ft,
            max: to_ft,
            ticks: { color: soft, includeBounds: false },
            grid: { display: false },
          },
          invert: {
            position: 'left',
            ticks: { color: soft },
            afterFit: (axis) => {
              axis.width = gutter_px;
            },
          },
          slope: {
            position: 'right',
            beginAtZero: true,
            grid: { display: false },
            ticks: { color: soft, mirror: true },
            afterFit: (axis) => {
              axis.width = margin_px;
            },
          },
        },
      },
    };
    const chart = new Chart(canvas.current, config);
    return () => {
      chart.destroy();
    };
  }, [falls, from_ft, to_ft]);
  const flows = scope.actions.filter(({ capacity }) => capacity);
  return (
    <Box borderTop="1px solid" borderColor="rule" py="2" data-testid="grade-strip" className="not-printed">
      {falls.length === 0 ? (
        <Text px="4" py="3">
          The fall is not known: locate the depth at two places, and give the ground where it slopes.
        </Text>
      ) : (
        <Box height="170px" width={`${scale.width}px`}>
          <canvas ref={canvas} role="img" aria-label="Invert, slope and least slope along the line" />
        </Box>
      )}
      <Flex wrap="wrap" gap="2" columnGap="6" px="4" pt="2" fontSize="14px">
        {falls
          .filter(({ enough }) => !enough)
          .map((fall) => (
            <Text key={fall.from_ft} color="signalInk" fontWeight={700}>
              {feet(fall.from_ft)} to {feet(fall.to_ft)} ft falls{' '}
              <OpenFigure figure={fall.slope} label="Slope">
                {fall.slope.value.toFixed(3)} in/ft
              </OpenFigure>
              , under {fall.least_in_per_ft.toFixed(3)}
            </Text>
          ))}
        {flows.map(({ id, method, from_ft: a, to_ft: b, capacity }) =>
          capacity ? (
            <Text key={id}>
              {methodName(method)} {feet(a)} to {feet(b)} ft carries full{' '}
              <OpenFigure figure={capacity.before} label="Carries full, now">
                {capacity.before.value.toFixed(0)}
              </OpenFigure>{' '}
              gal/min now,{' '}
              <OpenFigure figure={capacity.after} label="Carries full, after">
                {capacity.after.value.toFixed(0)}
              </OpenFigure>{' '}
              after; {capacity.velocity_ft_s.toFixed(1)} ft/s
            </Text>
          ) : null,
        )}
      </Flex>
    </Box>
  );
}

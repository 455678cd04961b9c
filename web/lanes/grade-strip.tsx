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
import type { Interval } from '../../core/line/intervals.js';
import type { LineScope } from '../../core/scope/scope.js';
import { OpenFigure } from '../figure/open-figure';
import { feet } from '../controls/format';
import { gutter_px, margin_px, type SheetScale } from '../drawing/sheet-scale';
import { themeColor, useChart } from '../drawing/use-chart';
import type { LineView } from '../../core/views/line-view.js';
import { Alarm } from '../controls/text';

Chart.register(LineController, LineElement, PointElement, LinearScale, Tooltip, Legend);

type Falls = LineView['falls'];

/**
 * The fall of the line, on the sheet's own axis: inverts, slope against the minimum, and capacity before and after.
 */
export function GradeStrip({ line, scope, scale }: { line: LineView; scope: LineScope; scale: SheetScale }) {
  const { falls } = line;
  return (
    <Box borderTop="1px solid" borderColor="rule" py="2" data-testid="grade-strip" className="not-printed">
      {falls.length === 0 ? (
        <Text px="4" py="3">
          The fall is not known: locate the depth at two places, and give the ground where it slopes.
        </Text>
      ) : (
        <FallChart falls={falls} scale={scale} />
      )}
      <Flex wrap="wrap" gap="2" columnGap="6" px="4" pt="2" fontSize="14px">
        {falls
          .filter(({ enough }) => !enough)
          .map((fall) => (
            <Alarm strong key={fall.from_ft}>
              {feet(fall.from_ft)} to {feet(fall.to_ft)} ft falls{' '}
              <OpenFigure figure={fall.slope} label="Slope">
                {fall.slope.value.toFixed(3)} in/ft
              </OpenFigure>
              , under {fall.least_in_per_ft.toFixed(3)}
            </Alarm>
          ))}
        {scope.actions.map((action) => (
          <Carries key={action.id} action={action} />
        ))}
      </Flex>
    </Box>
  );
}

function FallChart({ falls, scale }: { falls: Falls; scale: SheetScale }) {
  const { from_ft, to_ft } = scale.seen;
  const canvas = useChart(() => configurationOf(falls, scale.seen), [falls, from_ft, to_ft]);
  return (
    <Box height="170px" width={`${scale.width}px`}>
      <canvas ref={canvas} role="img" aria-label="Invert, slope and least slope along the line" />
    </Box>
  );
}

function datasetsOf(falls: Falls) {
  const steps = (value: (fall: Falls[number]) => number) =>
    falls.flatMap((fall) => [
      { x: fall.from_ft, y: value(fall) },
      { x: fall.to_ft, y: value(fall) },
    ]);
  const common = { pointRadius: 0, borderWidth: 2 };
  return [
    {
      ...common,
      label: 'Invert, ft',
      data: falls.flatMap(({ from_ft, to_ft, inverts_ft: [high, low] }) => [
        { x: from_ft, y: high },
        { x: to_ft, y: low },
      ]),
      borderColor: themeColor('ink'),
      yAxisID: 'invert',
    },
    {
      ...common,
      label: 'Slope, in/ft',
      data: steps(({ slope }) => slope.value),
      borderColor: themeColor('water'),
      yAxisID: 'slope',
    },
    {
      ...common,
      label: 'Least slope',
      data: steps(({ least_in_per_ft }) => least_in_per_ft),
      borderColor: themeColor('signal'),
      borderDash: [6, 4],
      yAxisID: 'slope',
    },
  ];
}

/** Axes as wide as the sheet's gutter and margin, so that stations line up. */
function configurationOf(
  falls: Falls,
  { from_ft, to_ft }: Interval,
): ChartConfiguration<'line', { x: number; y: number }[]> {
  const [ink, soft] = ['ink', 'soft'].map(themeColor);
  return {
    type: 'line',
    data: { datasets: datasetsOf(falls) },
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
}

/** Full-pipe capacity now and after an action. */
function Carries({ action: { method, from_ft, to_ft, capacity } }: { action: LineScope['actions'][number] }) {
  if (!capacity) return null;
  return (
    <Text>
      {methodName(method)} {feet(from_ft)} to {feet(to_ft)} ft carries full{' '}
      <OpenFigure figure={capacity.before} label="Carries full, now">
        {capacity.before.value.toFixed(0)}
      </OpenFigure>{' '}
      gal/min now,{' '}
      <OpenFigure figure={capacity.after} label="Carries full, after">
        {capacity.after.value.toFixed(0)}
      </OpenFigure>{' '}
      after; {capacity.velocity_ft_s.toFixed(1)} ft/s
    </Text>
  );
}

import { Box } from '@chakra-ui/react';
import {
  Chart,
  LinearScale,
  LineElement,
  PointElement,
  ScatterController,
  Tooltip,
  type ChartDataset,
  type ChartOptions,
} from 'chart.js';
import { taskKindRow } from '../../core/plan/kinds.js';
import type { RateCheck } from '../../core/plan/actuals.js';
import { themeColor, useChart } from '../drawing/use-chart';

Chart.register(ScatterController, PointElement, LineElement, LinearScale, Tooltip);

const row_px = 46;

/** Every recorded task as a point, relative to its rate; the middle half as a band. */
export function RateChart({ checks }: { checks: readonly RateCheck[] }) {
  const canvas = useChart(
    () => ({ type: 'scatter' as const, data: { datasets: datasetsOf(checks) }, options: optionsOf(checks) }),
    [checks],
  );
  return (
    <Box height={`${checks.length * row_px + 70}px`} mt="2">
      <canvas
        ref={canvas}
        role="img"
        aria-label={`Hours against the rates: ${checks.map(({ kind, median }) => `${taskKindRow(kind).rateWords} ${Math.round(median * 100)} %`).join(', ')}`}
      />
    </Box>
  );
}

type Dataset = ChartDataset<'scatter', { x: number; y: number }[]>;

/** Hours as a percentage of what the rate gives, one row per kind of task. */
const datasetsOf = (checks: readonly RateCheck[]): Dataset[] => [
  ...checks.map(({ middle }, y): Dataset => ({
    label: 'Middle half',
    data: middle.map((factor) => ({ x: factor * 100, y })),
    showLine: true,
    borderColor: themeColor('keep'),
    borderWidth: 16,
    pointRadius: 0,
    order: 3,
  })),
  {
    label: 'Median',
    data: checks.map(({ median }, y) => ({ x: median * 100, y })),
    pointStyle: 'rectRot',
    pointRadius: 8,
    backgroundColor: themeColor('signal'),
    order: 1,
  },
  {
    label: 'A task',
    data: checks.flatMap(({ factors }, y) => factors.map((factor) => ({ x: factor * 100, y }))),
    pointRadius: 4,
    backgroundColor: themeColor('ink'),
    order: 2,
  },
];

function optionsOf(checks: readonly RateCheck[]): ChartOptions<'scatter'> {
  const [ink, soft, keep] = [themeColor('ink'), themeColor('soft'), themeColor('keep')];
  const names = checks.map(({ kind }) => taskKindRow(kind).rateWords);
  return {
    animation: false,
    responsive: true,
    maintainAspectRatio: false,
    plugins: {
      tooltip: {
        callbacks: { label: ({ parsed }) => `${Math.round(parsed.x ?? 0)} % of the planned hours` },
      },
    },
    scales: {
      x: {
        beginAtZero: true,
        suggestedMax: 200,
        title: { display: true, text: 'Hours it took, % of what the rate says', color: soft },
        ticks: { color: soft },
        grid: { color: ({ tick }: { tick?: { value: number } }) => (tick?.value === 100 ? ink : keep) },
      },
      y: {
        min: -0.6,
        max: checks.length - 0.4,
        reverse: true,
        ticks: {
          color: ink,
          stepSize: 1,
          autoSkip: false,
          callback: (value) => names[Number(value)] ?? '',
        },
        grid: { display: false },
      },
    },
  };
}

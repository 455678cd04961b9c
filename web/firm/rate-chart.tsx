import { Box } from '@chakra-ui/react';
import {
  Chart,
  LinearScale,
  LineElement,
  PointElement,
  ScatterController,
  Tooltip,
  type ChartDataset,
} from 'chart.js';
import { taskKindRow } from '../../core/plan/kinds.js';
import type { RateCheck } from '../../core/plan/actuals.js';
import { themeColor, useChart } from '../drawing/use-chart';

Chart.register(ScatterController, PointElement, LineElement, LinearScale, Tooltip);

const row_px = 46;

/** Every task that was written down as a point, by how it went against its rate; the middle half as a band. */
export function RateChart({ checks }: { checks: readonly RateCheck[] }) {
  const canvas = useChart(() => {
    const [ink, soft, signal, keep] = ['ink', 'soft', 'signal', 'keep'].map(themeColor);
    const names = checks.map(({ kind }) => taskKindRow(kind).rateWords);
    const bands = checks.map(({ middle }, i): ChartDataset<'scatter', { x: number; y: number }[]> => ({
      label: 'Middle half',
      data: middle.map((x) => ({ x: x * 100, y: i })),
      showLine: true,
      borderColor: keep,
      borderWidth: 16,
      pointRadius: 0,
      order: 3,
    }));
    return {
      type: 'scatter' as const,
      data: {
        datasets: [
          ...bands,
          {
            label: 'Median',
            data: checks.map(({ median }, y) => ({ x: median * 100, y })),
            pointStyle: 'rectRot' as const,
            pointRadius: 8,
            backgroundColor: signal,
            order: 1,
          },
          {
            label: 'A task',
            data: checks.flatMap(({ factors }, y) => factors.map((factor) => ({ x: factor * 100, y }))),
            pointRadius: 4,
            backgroundColor: ink,
            order: 2,
          },
        ],
      },
      options: {
        animation: false as const,
        responsive: true,
        maintainAspectRatio: false,
        plugins: {
          tooltip: {
            callbacks: {
              label: ({ raw }: { raw: unknown }) =>
                `${Math.round((raw as { x: number }).x)} % of the planned hours`,
            },
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
              callback: (value: number | string) => names[Number(value)] ?? '',
            },
            grid: { display: false },
          },
        },
      },
    };
  }, [checks]);
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

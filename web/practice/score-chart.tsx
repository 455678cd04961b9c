import { Box } from '@chakra-ui/react';
import { Chart, Legend, LinearScale, LineController, LineElement, PointElement, Tooltip } from 'chart.js';
import { themeColor, useChart } from '../drawing/use-chart';
import type { Score } from './storage';

Chart.register(LineController, LineElement, PointElement, LinearScale, Tooltip, Legend);

/** Line style of a level: color alone would not distinguish five lines. */
const styles = [
  ['water', []],
  ['ink', []],
  ['signal', []],
  ['water', [6, 4]],
  ['signal', [6, 4]],
] as const;

/** Scores in order, one line per level. */
export function ScoreChart({ scores }: { scores: readonly Score[] }) {
  const levels = [...new Set(scores.map(({ level }) => level))].sort((a, b) => a - b);
  const canvas = useChart(() => {
    const soft = themeColor('soft');
    const ink = themeColor('ink');
    return {
      type: 'line' as const,
      data: {
        datasets: levels.map((level) => {
          const [color, borderDash] = styles[level - 1] ?? styles[0];
          return {
            label: `Level ${level}`,
            data: scores.flatMap((score, i) => (score.level === level ? [{ x: i + 1, y: score.score }] : [])),
            borderColor: themeColor(color),
            backgroundColor: themeColor(color),
            borderDash: [...borderDash],
            borderWidth: 2,
            pointRadius: 4,
          };
        }),
      },
      options: {
        animation: false as const,
        responsive: true,
        maintainAspectRatio: false,
        plugins: { legend: { labels: { color: ink, boxHeight: 2 } } },
        scales: {
          x: {
            type: 'linear' as const,
            min: 1,
            suggestedMax: 2,
            ticks: { color: soft, precision: 0 },
            title: { display: true, text: 'Practice, in order', color: soft },
          },
          y: {
            min: 0,
            max: 100,
            ticks: { color: soft },
            title: { display: true, text: 'Score', color: soft },
          },
        },
      },
    };
  }, [scores]);
  return (
    <Box height="230px" my="3">
      <canvas
        ref={canvas}
        role="img"
        aria-label={`Scores: ${scores.map(({ level, score }) => `level ${level}, ${score}`).join('; ')}`}
      />
    </Box>
  );
}

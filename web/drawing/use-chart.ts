import { Chart, type ChartConfiguration, type ChartType } from 'chart.js';
import { useEffect, useRef, type RefObject } from 'react';
import { faces } from '../theme/tokens';

Chart.defaults.font.family = faces.body;
Chart.defaults.font.size = 13;

/** A theme color as the page shows it now. */
export const themeColor = (name: string): string =>
  getComputedStyle(document.documentElement).getPropertyValue(`--chakra-colors-${name}`).trim();

/** Keeps a chart on a canvas while it is mounted; a new configuration redraws it. */
export function useChart<Type extends ChartType, Data>(
  configure: () => ChartConfiguration<Type, Data>,
  of: readonly unknown[],
): RefObject<HTMLCanvasElement | null> {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    if (!canvas.current) return undefined;
    const chart = new Chart(canvas.current, configure());
    return () => {
      chart.destroy();
    };
    // oxlint-disable-next-line react/exhaustive-deps -- Redrawn when its data changes, not when the callback does.
  }, of);
  return canvas;
}

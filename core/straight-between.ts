/** Linear between sorted points, constant beyond the first and the last. */
export function straightBetween(points: readonly (readonly [number, number])[], x: number): number {
  let above = 0;
  while (above < points.length && (points[above]?.[0] ?? x) < x) above++;
  const [low, high] = [points[above - 1], points[above]];
  if (!high) return points.at(-1)?.[1] ?? 0;
  if (!low) return high[1];
  return low[1] + ((high[1] - low[1]) * (x - low[0])) / (high[0] - low[0]);
}

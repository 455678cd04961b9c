/** Rate limit by caller: past the limit within a period, the caller waits until the period is over. */
export function attempts(most: number, while_ms: number) {
  let until = 0;
  const counts = new Map<string, number>();
  const counted = (who: string) => {
    if (Date.now() >= until) {
      counts.clear();
      until = Date.now() + while_ms;
    }
    return counts.get(who) ?? 0;
  };
  return {
    count: (who: string): void => {
      counts.set(who, counted(who) + 1);
    },
    areSpent: (who: string): boolean => counted(who) >= most,
  };
}

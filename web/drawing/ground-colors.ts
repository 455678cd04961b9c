/** Public color convention for marking utilities. */
export const utilityFill = (utility: string): string => {
  const words: [RegExp, string][] = [
    [/gas|oil|steam/i, '#e8b007'],
    [/electric|power/i, '#c62828'],
    [/phone|telecom|cable|fib/i, '#e06c00'],
    [/drinking|water/i, '#1f6fd0'],
    [/sewer|drain|storm/i, '#2e8b3d'],
  ];
  return words.find(([pattern]) => pattern.test(utility))?.[1] ?? '#9a4fb0';
};

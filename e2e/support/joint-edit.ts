/** The edit that writes joint number n into the run of the demo's second job, as another device would send it. */
export const jointEdit = (n: number) => ({
  kind: 'entry',
  line: 'house',
  run: 'R1',
  entry: `k${n}`,
  set: { id: `k${n}`, kind: 'joint', reading_ft: 5 + (n % 25), pass: 'back' },
});

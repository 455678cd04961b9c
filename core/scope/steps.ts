/** Runs a stepwise computation to its end. */
export function toTheEnd<T>(steps: Generator<unknown, T>): T {
  for (let next = steps.next(); ; next = steps.next()) if (next.done) return next.value;
}

/** Drives work that goes in steps to its end at once. */
export function toTheEnd<T>(steps: Generator<unknown, T>): T {
  for (let next = steps.next(); ; next = steps.next()) if (next.done) return next.value;
}

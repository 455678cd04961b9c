/** A seeded random number generator in integer arithmetic, so a seed gives the same numbers on every machine. */
export function source(seed: number) {
  let state = seed >>> 0;
  const unit = () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
  return {
    between: (low: number, high: number, step = 0.1) =>
      Math.round((low + unit() * (high - low)) / step) * step,
    pick: <T>(all: readonly T[]): T => all[Math.floor(unit() * all.length)] as T,
    chance: (share: number) => unit() < share,
    count: (most: number) => Math.floor(unit() * (most + 1)),
  };
}

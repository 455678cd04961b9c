/** A mixed binary programme being written, in the LP format that HiGHS reads. */
export interface Programme {
  /** Adds to the cost of a binary variable, and names it. */
  use(name: string, cost: number): string;
  constant(cost: number): void;
  /** ` + a + b`, or with the sign given. */
  sum(names: readonly string[], sign?: '+' | '-'): string;
  least(left: string, right: number): void;
  most(left: string, right: number): void;
  equal(left: string, right: number): void;
  text(): string;
}

export function linearProgramme(): Programme {
  const cost = new Map<string, number>();
  const constraints: string[] = [];
  let constant = 0;
  const add = (left: string, relation: string, right: number) => {
    constraints.push(` c${constraints.length}: ${left.trim().replace(/^\+ /, '')} ${relation} ${right}`);
  };
  return {
    use: (name, value) => {
      cost.set(name, (cost.get(name) ?? 0) + value);
      return name;
    },
    constant: (value) => {
      constant += value;
    },
    sum: (names, sign = '+') => names.map((name) => ` ${sign} ${name}`).join(''),
    least: (left, right) => {
      add(left, '>=', right);
    },
    most: (left, right) => {
      add(left, '<=', right);
    },
    equal: (left, right) => {
      add(left, '=', right);
    },
    text: () => {
      const objective = [...cost].map(
        ([name, value]) => ` ${value < 0 ? '-' : '+'} ${Math.abs(value).toFixed(9)} ${name}`,
      );
      return [
        'Minimize',
        ` obj:${objective.join('\n')}\n + ${constant.toFixed(9)} one`,
        'Subject To',
        ...constraints,
        ' cone: one = 1',
        'Binary',
        ` ${[...cost.keys()].join('\n ')}`,
        'End',
      ].join('\n');
    },
  };
}

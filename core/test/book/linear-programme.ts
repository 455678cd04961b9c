/** A mixed binary program in the LP format that HiGHS reads. */
export interface Programme {
  /** Adds to the cost of a binary variable, and names it. */
  use(name: string, cost: number): string;
  constant(cost: number): void;
  /** ` + a + b`, or with the given sign. */
  sum(names: readonly string[], sign?: '+' | '-'): string;
  /** ` + 2 a + 3 b`. */
  weigh(all: readonly (readonly [string, number])[]): string;
  /** Minimizes these weights instead of the costs. */
  aim(all: readonly (readonly [string, number])[]): void;
  least(left: string, right: number): void;
  most(left: string, right: number): void;
  equal(left: string, right: number): void;
  text(): string;
}

export function linearProgramme(): Programme {
  const cost = new Map<string, number>();
  const constraints: string[] = [];
  let constant = 0;
  let aimed: ReadonlyMap<string, number> | undefined;
  const add = (left: string, relation: string, right: number) => {
    // An empty sum is still a constraint: it may be what makes the problem infeasible.
    const sum = left.trim().replace(/^\+ /, '') || '0 one';
    constraints.push(` c${constraints.length}: ${sum} ${relation} ${right}`);
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
    weigh: (all) => all.map(([name, weight]) => ` + ${weight} ${name}`).join(''),
    aim: (all) => {
      aimed = new Map(all);
    },
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
      const objective = [...(aimed ?? cost)].map(
        ([name, value]) => ` ${value < 0 ? '-' : '+'} ${Math.abs(value).toFixed(9)} ${name}`,
      );
      return [
        'Minimize',
        ` obj:${objective.join('\n')}\n + ${(aimed ? 0 : constant).toFixed(9)} one`,
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

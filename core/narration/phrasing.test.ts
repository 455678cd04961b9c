import fc from 'fast-check';
import type { LogContext } from '../logline/context.js';
import { parseLogLine } from '../logline/parse.js';
import {
  aboutAsMuch,
  atPlace,
  chatter,
  cleanedOut,
  endsNext,
  fromTheStart,
  fromTo,
  goesOnTo,
  inWords,
  listedPlaces,
  located,
  mainNotReached,
  materials,
  measured,
  notThere,
  ofTheLine,
  pipeChanges,
  readings,
  onceMore,
  saidNext,
  saysNoMore,
  setDown,
  stopsAt,
  stopsBeside,
  stretches,
  things,
  threePlaces,
  turnsBack,
  twoLocates,
  twoThings,
  unseenFrom,
  wetFromTo,
  withMeasure,
} from '../test/phrasings.js';
import {
  endMended,
  measureMended,
  namedMoved,
  namedRenamed,
  namedTakenBack,
  placeMended,
  placeMendedNext,
  takenBack,
  thingMended,
  thingMendedNext,
} from '../test/second-thoughts.js';
import { testedAt, testedNext } from '../test/tested-water.js';
import { cues, short, spoken, talked, type Understood } from '../test/in-short.js';
import { narrate } from './narrate.js';

/**
 * The same facts in every form, thing and place: whatever is typed or said, one of three may come of it: what was filled
 * in, a question, or (of speech) nothing. Forms: common practice.
 */

const context: LogContext = {
  pass: 'out',
  end: 'MAIN',
  access: 'CO1',
  points: [
    { id: 'CO1', kind: 'cleanout' },
    { id: 'MAIN', kind: 'main' },
  ],
};

/** Past the hours of a clock nothing about a place is unclear, so nothing may be asked. */
const lastHour = 12;

/** What a typed line means; undefined where it asks, which it may only about a small number. */
function typed(line: string, at: number): readonly Understood[] | undefined {
  const parts = parseLogLine(line, context);
  const faults = parts.flatMap(({ errors }) => errors.map(({ message }) => message));
  if (faults.length > 0 && at <= lastHour) return undefined;
  expect([line, faults]).toEqual([line, []]);
  return parts;
}

/** Of a typed list the last place comes first. */
const inOrder = (all: Record<string, unknown>[]) => all.sort((a, b) => Number(a.at) - Number(b.at));

/** Both as typed in digits and as spoken in words. */
function means(
  form: (say: (feet: number) => string, isSpoken: boolean) => string,
  at: number,
  want: readonly Record<string, unknown>[],
): void {
  for (const [line, said] of [
    [form(String, false), typed(form(String, false), at)],
    [form(inWords, true), spoken(form(inWords, true))],
  ] as const)
    if (said) expect([line, inOrder(said.map(short))]).toEqual([line, want]);
}

const sideOf = (said: string) => {
  if (said.includes('left')) return { clock: 9 };
  return said.includes('right') ? { clock: 3 } : {};
};

/** What a change of pipe was filled in with. */
const pipesOf = (said: string) => (said === 'clay to pvc' ? { near: 'clay', far: 'pvc-sch40' } : {});

const one = ([said, is]: readonly [string, string], at: number) => ({
  ...{ is, at },
  ...sideOf(said),
  ...pipesOf(said),
});

test('a thing at a place, however the place is put', () => {
  for (const form of atPlace)
    for (const thing of things)
      for (const at of [3, 7.5, 12, 24.5, 102]) means((say) => form(thing[0], say(at)), at, [one(thing, at)]);
});

/** Each form with every stretch, from one place to another, ft. */
function meanStretches(forms: typeof fromTo, places: readonly (readonly [from: number, to: number])[]): void {
  for (const form of forms)
    for (const [said, is] of stretches)
      for (const [from, to] of places)
        means((say) => form(said, say(from), say(to)), from, [{ is, at: from, to }]);
}

test('from one place to another', () => {
  meanStretches(fromTo, [
    [0, 5],
    [7.5, 11],
    [30, 36.5],
    [98, 103],
  ]);
});

test('water from where it begins to where it ends, and no inches of it', () => {
  for (const form of wetFromTo)
    for (const [from, to] of [
      [3, 8],
      [7.5, 11],
      [24.5, 41],
    ] as const)
      means((say) => form(say(from), say(to)), from, [{ is: 'belly', at: from, to }]);
});

test('where the camera stopped, beside what held it, and what it did not see', () => {
  for (const at of [7.5, 14, 41]) {
    for (const form of stopsAt) means((say) => form(say(at)), at, [{ is: 'stop', at }]);
    for (const form of stopsBeside)
      for (const thing of things.slice(0, 9))
        means((say) => form(thing[0], say(at)), at, [one(thing, at), { is: 'stop', at }]);
    for (const form of unseenFrom)
      means((say) => form(say(at), say(at + 6)), at, [{ is: 'hidden', at, to: at + 6 }]);
  }
});

test('two things: each has its own place, and neither has the other’s', () => {
  for (const form of twoThings)
    things.slice(0, -1).forEach((thing, i) => {
      const other = things[(i * 5 + 7) % (things.length - 1)] ?? thing;
      for (const [at, then] of [
        [3, 9],
        [12, 14.5],
        [41.5, 52],
      ] as const)
        means((say) => form(thing[0], say(at), other[0], say(then)), at, [one(thing, at), one(other, then)]);
    });
});

test('a change of pipe has both pipes, in order', () => {
  for (const form of pipeChanges)
    materials.forEach((near, i) => {
      const far = materials[(i + 1) % materials.length] ?? near;
      for (const at of [3, 7.5, 22.5]) {
        const want = [{ is: 'change', at, near: near[1], far: far[1] }];
        means((say) => form(near[0], far[0], say(at)), at, want);
      }
    });
});

test('a measure is no place, and a place no measure', () => {
  for (const form of withMeasure)
    for (const { things: having, measures } of measured)
      for (const [said, is] of having)
        for (const [digits, words, fields] of measures)
          for (const at of [3, 7.5, 30])
            means((say, isSpoken) => form(said, isSpoken ? words : digits, say(at)), at, [
              { is, at, ...fields },
            ]);
});

test('how much is heard after whatever words lead to it', () => {
  for (const leads of aboutAsMuch)
    for (const { things: having, measures } of measured.slice(0, 2))
      for (const [said, is] of having)
        for (const [digits, words, fields] of measures.filter(([typedSo]) => /^\d/.test(typedSo)))
          for (const at of [7.5, 30])
            means((say, isSpoken) => `${say(at)}, ${said}, ${leads} ${isSpoken ? words : digits}`, at, [
              { is, at, ...fields },
            ]);
});

test('three places are three entries', () => {
  for (const form of threePlaces)
    for (const [said, is] of [
      ['roots', 'roots'],
      ['cracks', 'crack'],
      ['offsets', 'offset'],
    ] as const)
      for (const places of [
        [22, 26, 31],
        [14, 18.5, 23],
        [33, 35, 37],
      ] as const) {
        const [a, b, c] = places;
        means(
          (say) => form(said, say(a), say(b), say(c)),
          a,
          places.map((at) => ({ is, at })),
        );
      }
});

test('what is denied, supposed or reported is not proposed, and typed it is a note', () => {
  for (const form of notThere)
    for (const said of ['roots', 'cracks', 'offsets', 'bellies', 'holes', 'grease'])
      for (const at of [5, 12, 23.5, 41]) {
        for (const say of [String, inWords])
          expect([form(said, say(at)), spoken(form(said, say(at))).map(short)]).toEqual([
            form(said, say(at)),
            [],
          ]);
        const kinds = parseLogLine(form(said, String(at)), context).map(({ entry }) => entry?.kind ?? 'note');
        expect([form(said, String(at)), ...new Set(kinds)]).toEqual([form(said, String(at)), 'note']);
      }
});

test('a typed line means the same however it is set down', () => {
  const facts = (line: string) => typed(line, lastHour + 1)?.map(short);
  for (const [line, at] of [
    ['41 roots 30%', '41'],
    ['41.5 offset 1/2 in', '41.5'],
    ['30 abs > clay', '30'],
    ['33 wye left', '33'],
    ['12 bend 45 right', '12'],
    ['18 joint sep 1 in', '18'],
    ["40 hole 3 o'clock", '40'],
    ['78 main', '78'],
  ] as const)
    for (const as of setDown)
      expect([as(line, at), facts(as(line, at))]).toEqual([as(line, at), facts(line)]);
});

/** A sentence of a talk from where the head is, ft; what it must propose, and where the head is after it. */
type Said = (at: number) => {
  readonly text: string;
  readonly want: readonly Record<string, unknown>[];
  readonly end: number;
};

const pointed = fc.constantFrom(...things.slice(0, -1));
const farther_ft = fc.integer({ min: 2, max: 7 });
const sentence: fc.Arbitrary<Said> = fc.oneof(
  fc.tuple(fc.constantFrom(...atPlace), pointed).map(([form, thing]): Said => (at) => ({
    ...{ text: form(thing[0], inWords(at)), want: [one(thing, at)], end: at },
  })),
  fc
    .tuple(fc.constantFrom(...fromTo), fc.constantFrom(...stretches), farther_ft)
    .map(([form, [said, is], long]): Said => (at) => ({
      ...{
        text: form(said, inWords(at), inWords(at + long)),
        want: [{ is, at, to: at + long }],
        end: at + long,
      },
    })),
  fc
    .tuple(fc.constantFrom(...twoThings), pointed, pointed, farther_ft)
    .map(([form, thing, other, on]): Said => (at) => ({
      text: form(thing[0], inWords(at), other[0], inWords(at + on)),
      ...{ want: [one(thing, at), one(other, at + on)], end: at + on },
    })),
  fc
    .tuple(fc.constantFrom(...placeMended), pointed, fc.constantFrom(1, 2, 3))
    .map(([form, thing, off]): Said => (at) => ({
      text: form(thing[0], inWords(at - 0.5 * off), inWords(at)).join(' '),
      ...{ want: [one(thing, at)], end: at },
    })),
  fc
    .tuple(fc.constantFrom(...thingMended), pointed, pointed)
    .filter(([, [, is], [, other]]) => is !== other)
    .map(([form, thing, other]): Said => (at) => ({
      ...{ text: form(thing[0], other[0], inWords(at)).join(' '), want: [one(other, at)], end: at },
    })),
  fc
    .tuple(fc.constantFrom(...notThere), fc.constantFrom('roots', 'cracks', 'offsets', 'holes'))
    .map(([form, said]): Said => (at) => ({ text: form(said, inWords(at)), want: [], end: at })),
  fc.constantFrom(...chatter).map((text): Said => (at) => ({ text, want: [], end: at })),
);

test('a talk of such sentences is each of them, in order', () => {
  fc.assert(
    fc.property(
      fc.array(fc.tuple(sentence, farther_ft, fc.boolean()), { minLength: 5, maxLength: 12 }),
      (all) => {
        let head = 1;
        const said = all.map(([say, on, half]) => {
          const next = say(head + on + (half ? 0.5 : 0));
          head = Math.ceil(next.end);
          return next;
        });
        const talk = said.map(
          ({ text }) =>
            `${text.charAt(0).toUpperCase()}${text.slice(1).replace(/[.?]$/, '')}${text.endsWith('?') ? '?' : '.'}`,
        );
        expect([talk, talked(...talk).map(short)]).toEqual([talk, said.flatMap(({ want }) => want)]);
      },
    ),
    { numRuns: 80 },
  );
});

test('a locate has its place and its depth, whichever is said first', () => {
  for (const form of located)
    for (const at of [7.5, 14, 41])
      for (const depth of [5, 6.5, 10])
        means((say) => form(say(at), say(depth)), at, [{ is: 'locate', at, depth }]);
  for (const form of twoLocates)
    means((say) => form(say(14), say(5), say(21.5), say(6)), 14, [
      { is: 'locate', at: 14, depth: 5 },
      { is: 'locate', at: 21.5, depth: 6 },
    ]);
});

test('what the next sentence adds belongs to the thing just named', () => {
  for (const [[said, is], next, adds] of saidNext)
    for (const lead of [`{n}, ${said}.`, `There's ${said} at {n}.`, `At {n} feet we've got ${said}.`])
      for (const at of [7.5, 14, 41])
        for (const between of [[], ['Okay.']]) {
          const sentences = [lead.replace('{n}', inWords(at)), ...between, next];
          const { items } = narrate(sentences.map((text, i) => ({ start_s: 4 * i, text })));
          expect([sentences, items.map(short)]).toEqual([sentences, [{ is, at, ...adds }]]);
        }
});

test('a reading is the same number however it is called', () => {
  for (const [said, feet] of readings)
    for (const form of [
      (n: string) => `At ${n} there's a crack.`,
      (n: string) => `${n}, there's a crack.`,
      (n: string) => `A crack at ${n}.`,
      (n: string) => `We've got a crack at ${n}.`,
    ]) {
      const [first, ...more] = spoken(form(said));
      expect([form(said), first?.entry?.reading_ft?.toFixed(2), more]).toEqual([
        form(said),
        feet.toFixed(2),
        [],
      ]);
    }
});

const heard = (sentences: readonly string[]) =>
  narrate(sentences.map((text, i) => ({ start_s: 4 * i, text: `${text.replace(/\.$/, '')}.` }))).items.map(
    short,
  );

/** Of what is said and then put right only the second counts, spoken in words or in digits. */
function endsAs(
  sentences: (say: (feet: number) => string) => readonly string[],
  want: readonly Record<string, unknown>[],
) {
  for (const say of [inWords, String])
    expect([sentences(say), heard(sentences(say))]).toEqual([sentences(say), want]);
}

const [mendable, places] = [
  things.slice(0, 9),
  [
    [7.5, 9],
    [14, 16],
    [41, 43.5],
  ] as const,
];

test('a slip of the tongue leaves what was said last', () => {
  mendable.forEach((thing, i) => {
    const other = mendable[(i + 4) % mendable.length] ?? thing;
    for (const [n, m] of places) {
      for (const form of placeMended) {
        endsAs((say) => form(thing[0], say(n), say(m)), [one(thing, m)]);
        expect(typed(form(thing[0], String(n), String(m)).join(' '), m)?.map(short)).toEqual([one(thing, m)]);
      }
      for (const next of placeMendedNext)
        endsAs((say) => [`${thing[0]} at ${say(n)}`, next(say(n), say(m))], [one(thing, m)]);
      for (const form of thingMended) endsAs((say) => form(thing[0], other[0], say(n)), [one(other, n)]);
      for (const next of thingMendedNext)
        endsAs((say) => [`${thing[0]} at ${say(n)}`, next(thing[0], other[0])], [one(other, n)]);
      for (const form of takenBack) endsAs((say) => form(thing[0], say(n)), []);
    }
  });
  for (const [said, is] of stretches)
    for (const form of endMended)
      endsAs((say) => form(said, say(12), say(18), say(23.5)), [{ is, at: 12, to: 23.5 }]);
  for (const [said, fields] of measureMended)
    for (const [n] of places)
      endsAs((say) => said.map((text) => text.replace('{n}', say(n))), [{ at: n, ...fields }]);
});

test('once more is the same thing at another place', () => {
  for (const form of onceMore)
    for (const [said, is] of things.slice(0, 9))
      for (const [at, again] of [
        [7.5, 11],
        [14, 19],
      ] as const)
        endsAs(
          (say) => form(said, say(at), say(again)),
          [
            { is, at },
            { is, at: again },
          ],
        );
});

test('a thing is put right by its name, whatever was named since', () => {
  mendable.forEach(([said, is], i) => {
    const other = mendable[(i + 4) % mendable.length] ?? mendable[0];
    const name = said.replace(/^an? /, '');
    const wye = { is: 'tie-in', at: 52 };
    for (const [n, m] of places) {
      const then = (next: (say: (feet: number) => string) => string) => (say: (feet: number) => string) => [
        `${said} at ${say(n)}`,
        `a wye at ${say(wye.at)}`,
        next(say),
      ];
      for (const next of namedMoved)
        endsAs(
          then((say) => next(name, say(n), say(m))),
          [{ is, at: m }, wye],
        );
      for (const next of namedRenamed)
        if (other)
          endsAs(
            then((say) => next(name, other[0], say(n))),
            [one(other, n), wye],
          );
      for (const next of namedTakenBack)
        endsAs(
          then((say) => next(name, say(n))),
          [wye],
        );
    }
  });
});

test('what else is said of a thing puts it on no other pass, side or place', () => {
  for (const [i, more] of saysNoMore.entries())
    for (const thing of things.slice(0, -1))
      for (const at of [5, 14]) {
        const text = `${inWords(at)}, ${thing[0]}${/^that\b/.test(more) ? '' : ','} ${more}`;
        const { items } = narrate(cues([text]));
        expect([text, i, items.map(short)]).toEqual([text, i, [one(thing, at)]]);
        expect([text, items.map(({ entry }) => entry.pass)]).toEqual([text, ['out']]);
      }
});

test('a stretch that goes on to a place ends there, be it a small number', () => {
  meanStretches(goesOnTo, [
    [3, 5],
    [14, 17.5],
  ]);
});

test('from the start is from zero', () => {
  for (const form of fromTheStart)
    for (const [x, is] of stretches.filter(([said]) => /roots|scale/.test(said)))
      for (const to of [8, 17.5]) {
        const said = form(x, inWords(to));
        expect([said, spoken(said).map(short)]).toEqual([said, [{ is, at: 0, to }]]);
      }
});

test('what is said next of a thing ends it there; of another thing it does not', () => {
  for (const form of endsNext)
    for (const [x, is] of [
      ['roots', 'roots'],
      ['crack', 'crack'],
    ] as const) {
      const talk = (of: string) =>
        narrate(cues([`Nineteen, ${x}.`, form(of, 'twenty one')])).items.map(short);
      expect([form(x, '21'), talk(x)]).toEqual([form(x, '21'), [{ is, at: 19, to: 21 }]]);
      if (form('', '') !== form('x', '')) expect(talk('grease')).toContainEqual({ is, at: 19 });
    }
});

test('one thing of the line is one entry, with what was said of it', () => {
  for (const [form, is] of ofTheLine)
    for (const at of [22, 43.5]) {
      const said = form(inWords(at));
      expect([said, spoken(said)]).toMatchObject([said, [is]]);
      expect([said, spoken(said)[0]?.entry?.reading_ft]).toEqual([said, at]);
    }
  // Which way the main runs is no side of this pipe.
  expect(spoken('Fifty two, main, going left to right')[0]?.entry).not.toHaveProperty('clock');
});

const between = (at: number, near: string, far: string) => ({ is: 'change', at, near, far });

test.each([
  [
    "You've got a hole at ten, another at eleven and a half, and then from thirteen on there's no bottom.",
    [
      { is: 'hole', at: 10 },
      { is: 'hole', at: 11.5 },
      { is: 'bottom-gone', at: 13 },
    ],
  ],
  ["Sixteen, there's like three cracks.", [{ is: 'crack', at: 16 }]],
  ['Twenty five, a wye on the right, might be the old septic.', [{ is: 'tie-in', at: 25, clock: 3 }]],
  ["Starting at twelve the cast's got a bad case of scale.", [{ is: 'deposit', at: 12 }]],
  [
    'Clay to PVC at forty two. It goes to forty nine and then back into clay.',
    [between(42, 'clay', 'pvc-sch40'), between(49, 'pvc-sch40', 'clay')],
  ],
  [
    "Eight feet of new ABS, and there's a rubber boot onto cast.",
    [between(8, 'abs', 'cast-iron'), { is: 'joint', at: 8 }],
  ],
  ["Between twenty and twenty five it's rooty at each joint.", [{ is: 'roots', at: 20, to: 25 }]],
  [
    'No bottom from thirteen till you hit clay at nineteen.',
    [
      { is: 'bottom-gone', at: 13, to: 19 },
      { is: 'change', at: 19, far: 'clay' },
    ],
  ],
  [
    'Eleven foot in, belly starts, two inches deep at fifteen and it is out at nineteen.',
    [{ is: 'belly', at: 11, to: 19, inches: 2 }],
  ],
  [
    "Pulling back. Sitting at thirty, he's got me at five four deep.",
    [{ is: 'locate', at: 30, depth: 5.3333 }],
  ],
  ['Nineteen, scale, and it tapers off around twenty two.', [{ is: 'deposit', at: 19, to: 22 }]],
  [
    'Twenty six, into a belly, inch and a half at thirty, out of it by thirty three.',
    [{ is: 'belly', at: 26, to: 33, inches: 1.5 }],
  ],
  ["City main at sixty, comes in through a wye, it's flowing left to right.", [{ at: 60 }]],
  [
    'Heavy scale all the way up, I can’t get past forty six.',
    [
      { is: 'deposit', at: 0, to: 46 },
      { is: 'stop', at: 46 },
    ],
  ],
] as const)('%s', (talk, want) => {
  expect(narrate(cues(talk.split(/(?<=\.)\s/))).items.map(short)).toEqual(want);
});

test('nothing ends behind where it begins', () => {
  for (const next of [
    'It goes to five.',
    'Those roots quit at five.',
    'It ends at five.',
    'They taper off around five.',
  ])
    expect([
      next,
      narrate(cues(['Nineteen, roots.', next])).items.map(({ entry }) => entry.to_ft)[0],
    ]).toEqual([next, undefined]);
  expect(
    narrate(cues(['Pulling back.', 'Nineteen, roots.', 'Those roots quit at five.'])).items.map(
      ({ entry }) => entry.to_ft,
    ),
  ).toEqual([5]);
});

test('an end that lies behind is one where the length that is said agrees', () => {
  for (const [begins, ends, long] of [
    [38.7, 35, 'just under four feet'],
    [44, 40, 'about four feet'],
    [30, 22, 'eight feet'],
  ] as const) {
    const talk = [`${inWords(begins)}, belly.`, `Belly ends at ${inWords(ends)}, so it's ${long} long.`];
    expect(narrate(cues(talk)).items.map(short)).toEqual([{ is: 'belly', at: ends, to: begins }]);
  }
  const without = narrate(
    cues(['Thirty eight, belly.', "Belly ends at thirty five, so it's nine feet long."]),
  );
  expect(without.items.map(({ entry }) => entry.reading_ft)).toContain(38);
});

test('both and all say of each what the sentence or the one before it named', () => {
  const measures = [
    ['about ten percent', { percent: 10 }, 'Roots', 'roots'],
    ['half an inch', { inches: 0.5 }, 'Offsets', 'offset'],
    ["at twelve o'clock", { clock: 12 }, 'Cracks', 'crack'],
    ['on the left', { clock: 9 }, 'Wyes', 'tie-in'],
  ] as const;
  for (const [said, has, things, is] of measures)
    for (const [list, words] of [
      [
        [14, 17],
        ['both', 'each', 'both of them'],
      ],
      [
        [14, 17, 20],
        ['all', 'each', 'all of them'],
      ],
    ] as const)
      for (const word of words) {
        const places = `${list.slice(0, -1).map(inWords).join(', ')} and ${inWords(list.at(-1) ?? 0)}`;
        const want = list.map((at) => ({ is, at, ...has }));
        for (const talk of [
          [`${things} at ${places}, ${word} ${said}.`],
          [`${things} at ${places}.`, `${word.charAt(0).toUpperCase()}${word.slice(1)} ${said}.`],
        ])
          expect([talk, narrate(cues(talk)).items.map(short)]).toEqual([talk, want]);
      }
});

test('water that deepens is one belly, as deep as it gets, up to where the camera is out of it', () => {
  for (const places of [
    [22, 25, 31],
    [8, 11.5, 14],
    [41, 46, 52],
  ] as const) {
    const [from, at, to] = places.map(inWords);
    for (const talk of [
      [
        `Starting to see water at ${from}, it's getting deeper, about an inch and a half at ${at}.`,
        `Out of the water at ${to}.`,
      ],
      [`Water starts at ${from}, gets deeper, inch and a half at ${at}.`, `Out of it at ${to}.`],
      [`Water at ${from}, half an inch, getting deeper, one and a half inches at ${at}, out at ${to}.`],
      [`Belly starts at ${from}.`, `It's getting deeper, inch and a half at ${at}.`, `I'm through, ${to}.`],
    ])
      expect([talk, narrate(cues(talk)).items.map(short)]).toEqual([
        talk,
        [{ is: 'belly', at: places[0], to: places[2], inches: 1.5 }],
      ]);
  }
});

test('a sag is one belly from where it begins to where the camera is out of it, with what was called between', () => {
  const depths = fc.constantFrom(['half inch', 0.5], ['inch and a half', 1.5], ['two inches', 2] as const);
  const feet = fc.integer({ min: 8, max: 40 });
  const steps = fc.integer({ min: 5, max: 12 });
  fc.assert(
    fc.property(feet, steps, steps, depths, (from, on, farther, [deep, inches]) => {
      const deepest = Math.max(13, from + on);
      const [a, b, c] = [from, deepest, deepest + farther].map(inWords);
      const want = { is: 'belly', at: from, to: deepest + farther, inches };
      for (const talk of [
        [`Sag from about ${a}, deepest about ${b}, out by ${c}, and I'd call it ${deep} at the deepest.`],
        [`Belly starting ${a}, deepest at ${b}, gone by ${c}, ${deep}.`],
        [`From ${a} we've got ${deep} of water standing, goes away at ${c}.`],
        [`Belly starts at ${a}.`, `Belly's done at ${c}.`, `I'd say it holds ${deep} at the worst.`],
      ])
        expect([talk, talked(...talk).map(short)]).toEqual([talk, [want]]);
      for (const next of [
        `Then another one starting ${a}, this one's only ${deep}, gone at ${c}.`,
        `There's a second one from ${a} to ${c}, ${deep}.`,
        `Second one starts at ${a} and ends at ${c}, ${deep}.`,
      ])
        expect([next, talked('Belly from two to five.', next).slice(1).map(short)]).toEqual([next, [want]]);
    }),
    { numRuns: 40 },
  );
});

test('the deepest place of a belly is no reading of its own, and its share is its size', () => {
  for (const begun of ['Under water at twenty-three.', 'Belly starts at twenty-three.'])
    for (const worst of [
      'About a third full at the worst of it, which is around twenty-five.',
      "It's a third full, deepest at twenty five.",
    ]) {
      const items = talked(begun, worst, 'Coming up out of the water now, twenty-eight and a half.');
      const belly = items.filter(({ entry }) => entry.kind === 'finding');
      expect([begun, worst, belly.map(({ entry }) => entry)]).toMatchObject([
        begun,
        worst,
        [{ finding: 'belly', reading_ft: 23, to_ft: 28.5, size: 'moderate' }],
      ]);
    }
  const popped = talked(
    'Belly starts at twenty-six.',
    "Camera's under at twenty-eight.",
    'Thirty-three, popped back up.',
    "Belly's done at thirty-four.",
  );
  expect(popped.map(short)).toEqual([
    { is: 'belly', at: 26, to: 34 },
    { is: 'hidden', at: 28, to: 33 },
  ]);
});

test('another joint, same deal: what was found at the one before', () => {
  for (const said of ['Roots in the joint at nine, light.', "Joint at nine's got a little root coming in."])
    for (const next of [
      'Twelve, another joint, same deal.',
      'Next joint, twelve, same deal.',
      'Twelve, another joint, same thing.',
      'Same story at twelve.',
    ])
      expect([said, next, talked(said, next).map(short).at(-1)]).toEqual([
        said,
        next,
        { is: 'roots', at: 12 },
      ]);
});

test('one that is loaded, all the same, a size by itself: of what was found before', () => {
  for (const next of ["Twelve, that one's loaded.", "Twelve, this one's packed."])
    expect([next, talked('Roots at nine, light.', next).at(-1)?.entry]).toMatchObject([
      next,
      { finding: 'roots', reading_ft: 12, size: 'large' },
    ]);
  for (const [list, places] of [
    ['Fourteen, fifteen, sixteen, seventeen', [14, 15, 16, 17]],
    ['Fourteen, seventeen and twenty', [14, 17, 20]],
  ] as const)
    for (const same of ['all got the same stuff', 'all the same'])
      expect([list, talked('Roots at nine.', `${list}, ${same}.`).slice(1).map(short)]).toEqual([
        list,
        places.map((at) => ({ is: 'roots', at })),
      ]);
  for (const [alone, size] of [
    ['Heavy.', 'large'],
    ['Light.', 'small'],
    ['Small one.', 'small'],
  ] as const)
    expect([alone, talked('Roots at nine.', alone)[0]?.entry]).toMatchObject([alone, { size }]);
  expect(talked('Roots at nine on the left.', 'Twelve, same but on both sides.').slice(1).map(short)).toEqual(
    [
      { is: 'roots', at: 12, clock: 9 },
      { is: 'roots', at: 12, clock: 3 },
    ],
  );
});

test.each<[said: string, want: Record<string, unknown>]>([
  [
    "Rust starts at five, it's pretty thick, I'd say a third of the pipe's gone by eight.",
    { is: 'deposit', at: 5, percent: 33 },
  ],
  ["Eight feet, joint's offset, far side's dropped a half inch.", { is: 'offset', at: 8, inches: 0.5 }],
  [
    "Twenty-one, pipe's sheared, it's over half an inch to the right.",
    { is: 'offset', at: 21, inches: 0.5, clock: 3 },
  ],
  ['Fifteen, grout hanging into the pipe, ten percent.', { is: 'intrusion', at: 15, percent: 10 }],
  [
    'Past the tee we have a bend, twenty two and a half, at thirty-nine.',
    { is: 'bend', at: 39, degrees: 22.5 },
  ],
  ['Twenty-three, change to plastic, looks like SDR 35.', { is: 'change', at: 23, far: 'pvc-sdr35' }],
  ['Manhole to the first joint is four feet.', { is: 'joint', at: 4 }],
  ['Last thing, forty-nine, city wye.', { is: 'main', at: 49 }],
  ["Ten and a half, bottom's paper thin.", { is: 'worn-bottom', at: 10.5 }],
  ['Forty-four, forty-five bend, going left.', { is: 'bend', at: 44, degrees: 45, clock: 9 }],
])('“%s” is one thing', (said, want) => {
  expect(spoken(said).map(short)).toEqual([want]);
});

test('a depth goes to what was read, and nowhere else', () => {
  for (const lead of ['Depth shots.', 'Taking depths now.', 'Depths.'])
    expect([
      lead,
      talked(
        ...['Roots at twenty.', 'Main at sixty.', lead],
        ...['Cleanout, thirty-two inches.', 'Tree, four foot eight.', 'Main, eight four.'],
      )
        .slice(2)
        .map(({ entry }) => entry.kind === 'locate' && [entry.reading_ft, entry.depth_ft]),
    ]).toEqual([
      lead,
      [
        [0, 2.6667],
        [60, 8.3333],
      ],
    ]);
});

test('water behind a step lies between it and where it is back to; what is good up to a place is not there', () => {
  expect(
    talked("Twelve, pipe's got a step down, half inch.", 'Water behind it, half inch, back to ten.').map(
      short,
    ),
  ).toEqual([
    { is: 'offset', at: 12, inches: 0.5 },
    { is: 'belly', at: 12, to: 10, inches: 0.5 },
  ]);
  const tapped = talked(
    'Fourteen, connection up on the top right.',
    'Somebody beat a hole in it and stuck a pipe in.',
    "We're good through twenty.",
  );
  expect(tapped.map(short)).toMatchObject([{ is: 'tie-in', at: 14 }]);
});

test('what is not done, or is something else, changes nothing', () => {
  expect(talked('Fifty, roots.', "I'd stop there but it squeezed through.").map(short)).toEqual([
    { is: 'roots', at: 50 },
  ]);
  const wrinkle = talked(
    'Wrinkle at nine on the bottom.',
    "Fifteen, they didn't cut out the branch.",
    "There's a dimple at two o'clock.",
  );
  expect(wrinkle.map(short)).toEqual([{ is: 'blister', at: 9, clock: 6 }]);
  const located = talked(
    'Broken pipe at thirty-three.',
    "Coming back now, I'll locate that break.",
    'Sitting at thirty-four and a half.',
    'Five foot even.',
  );
  expect(located.slice(1).map(({ entry }) => entry)).toEqual([
    { kind: 'locate', reading_ft: 34.5, pass: 'back', depth_ft: 5 },
  ]);
});

test('where a sentence tells of the ground or of the wall, the last thing keeps its place', () => {
  for (const [said, is] of [
    ['Crack at ten.', 'crack'],
    ['Leak at ten.', 'infiltration'],
  ] as const)
    for (const next of [
      "It's all under the driveway from fourteen to twenty.",
      "Looks like I'm losing maybe a half inch all the way around from fourteen on to twenty.",
    ])
      expect([next, talked(said, next).map(short)]).toEqual([next, [{ is, at: 10 }]]);
});

test('concrete in the bottom is no pipe; a nail through the side sticks in', () => {
  for (const line of [
    'Forty two, concrete on the bottom, somebody washed out a bucket.',
    'Forty two, concrete laying in the bottom.',
    'Forty two, hardened grout in the invert.',
  ])
    expect([line, spoken(line).map(short)]).toEqual([line, [{ is: 'intrusion', at: 42, clock: 6 }]]);
  const nail =
    "Twenty-two and a quarter, looks like a nail or a screw or something poking through the side at two o'clock.";
  expect(spoken(nail).map(short)).toEqual([{ is: 'intrusion', at: 22.25, clock: 2 }]);
});

test('the camera sees again where it is through, or the picture is clear again', () => {
  for (const end of [
    "Okay I'm through, fifty five, clear again.",
    'Through it, fifty five.',
    'Clear again at fifty five.',
    'Fifty five, clear again.',
    'It clears up at fifty five.',
  ]) {
    const { items } = narrate(cues(["Can't see past forty nine, it's all underwater.", end]));
    expect([end, items.map(short)]).toEqual([end, [{ is: 'hidden', at: 49, to: 55 }]]);
  }
});

test('a crack that goes around has both its hours', () => {
  for (const [from, to] of [
    [11, 3],
    [10, 2],
    [12, 4],
  ] as const)
    for (const said of [
      `goes from about ${inWords(from)} around to ${inWords(to)}`,
      `running from ${inWords(from)} around to about ${inWords(to)}`,
      `from ${inWords(from)} o'clock all the way around to ${inWords(to)}`,
      `starts at ${inWords(from)} and spirals down to about ${inWords(to)}`,
    ])
      for (const line of [
        `Crack at thirty, ${said}.`,
        `There's a crack at thirty that ${said.replace(/^(?:running )?from/, 'goes from')}.`,
      ])
        expect([
          line,
          spoken(line).map(({ entry }) => entry && [entry.reading_ft, 'clock' in entry && entry.clock]),
        ]).toEqual([line, [[30, [from, to]]]]);
});

test('over the top from one hour to another has both, and how long it runs is its length', () => {
  for (const [line, want] of [
    [
      "Broken pipe at forty, goes from nine o'clock over the top to three, about a foot of it.",
      { is: 'broken', at: 40, to: 41, clock: [9, 3] },
    ],
    ['Crack at forty, from ten over the crown to two.', { is: 'crack', at: 40, clock: [10, 2] }],
    [
      'Hairline at fourteen along the bottom, it goes, uh, it goes a good two feet.',
      { is: 'crack', at: 14, to: 16, clock: 6 },
    ],
  ] as const)
    expect([line, spoken(line).map(short)]).toEqual([line, [want]]);
});

test('how deep the cleanout is, is a depth where the camera went in', () => {
  for (const [said, depth] of [
    ["Cleanout's four foot deep by the way.", 4],
    ['This cleanout is about five feet deep.', 5],
    ["The cleanout we're in is three and a half feet down.", 3.5],
  ] as const)
    expect([said, spoken(said).map(short)]).toEqual([said, [{ is: 'locate', at: 0, depth }]]);
  expect(talked('Cleanout at forty.', 'That cleanout is three feet deep.').map(short)).toEqual([
    { is: 'cleanout', at: 40 },
  ]);
});

test('how an old pipe looks is where no pipe begins, and a piece of another ends where the old one is back', () => {
  for (const line of [
    'Cast is real rough from nine to seventeen.',
    'The clay is good from nine to seventeen.',
  ])
    expect([line, spoken(line).filter(({ entry }) => entry?.kind === 'change')]).toEqual([line, []]);
  for (const end of [
    "PVC goes to fifty three and then we're back in clay.",
    'The PVC runs to fifty three, then back in the clay.',
  ]) {
    const { items } = narrate(cues(["We're in clay.", 'At forty seven we have PVC.', end]));
    expect([end, items.map(short)]).toEqual([
      end,
      [
        { is: 'change', at: 47, near: 'clay', far: 'pvc-sch40' },
        { is: 'change', at: 53, near: 'pvc-sch40', far: 'clay' },
      ],
    ]);
  }
});

test('a bend of so many degrees down to the main is no main; so many feet down is how deep a cleanout is', () => {
  for (const line of [
    'Sixty two is a hard one, ninety degree going down to the main.',
    'Sixty two, ninety degree going down to the main.',
    'Sixty two, a hard ninety going down into the main.',
  ])
    expect([line, spoken(line).map(short)]).toEqual([line, [{ is: 'bend', at: 62, degrees: 90 }]]);
  for (const line of [
    'Starting at the house cleanout, six foot down.',
    'Starting in the pit, four feet down.',
  ])
    expect([line, spoken(line).map(({ entry }) => entry?.reading_ft)]).toEqual([line, []]);
});

test('where a thing ends is its end, also after what it measures', () => {
  for (const [word, is, says, has] of [
    ['belly', 'belly', 'quarter inch', { inches: 0.25 }],
    ['roots', 'roots', 'ten percent', { percent: 10 }],
    ['scale', 'deposit', 'twenty percent', { percent: 20 }],
  ] as const)
    for (const [from, to] of [
      [3, 6],
      [14, 17],
      [40, 41.5],
    ] as const) {
      const [a, b] = [inWords(from), inWords(to)];
      for (const line of [
        `${word} at ${a}, ${says}, clears by ${b}`,
        `${word} at ${a}, ${says}, ends at ${b}`,
        `${word} at ${a}, ${says}, and it quits around ${b}`,
        `${a}, ${word}, ${says}, clears by ${b}`,
      ])
        expect([line, spoken(line).map(short)]).toEqual([line, [{ is, at: from, to, ...has }]]);
    }
});

test('some of it to a place is from where the head is', () => {
  for (const [before, from] of [
    [[], 0],
    [['Seven, joint.'], 7],
  ] as const)
    for (const line of [
      'Scale to fourteen.',
      'Little bit of grease to about fourteen.',
      'Some fine roots to fourteen feet.',
    ]) {
      const { items } = narrate(cues([...before, line]));
      const { entry } = items.at(-1) ?? {};
      expect([line, entry?.reading_ft, entry?.to_ft]).toEqual([line, from, 14]);
    }
  const dirt = narrate(
    cues(['Seven, broken.', "There's some of that dirt laying in the bottom to about thirty."]),
  );
  expect(dirt.items.map(short)).toEqual([{ is: 'broken', at: 7 }]);
});

test('the other way around is what is said after it; what turns into a mess is no bend', () => {
  for (const turned of ['Other way around, clay to cast.', "No wait, other way around, it's clay to cast."])
    expect([turned, narrate(cues(['Thirty is cast to clay.', turned])).items.map(short)]).toEqual([
      turned,
      [{ is: 'change', at: 30, near: 'clay', far: 'cast-iron' }],
    ]);
  for (const line of ['Forty is where it turns into a mess.', 'At forty it turns ugly.'])
    expect([line, spoken(line).map(short)]).toEqual([line, []]);
});

test('what a thing reads is its place', () => {
  const { items } = narrate(
    cues(['Offset at eight.', 'Pulling back.', 'That offset reads seven and a half.']),
  );
  expect(items.map(({ entry }) => [entry.pass, entry.reading_ft, 'inches' in entry && entry.inches])).toEqual(
    [
      ['out', 8, false],
      ['back', 7.5, false],
    ],
  );
});

test('a number of the house is no place', () => {
  for (const house of [
    'a two story house',
    'a three bedroom two bath',
    'a two car garage',
    'a four unit building',
  ]) {
    const before = narrate(cues([`This is ${house}, front cleanout, pushing out.`, 'Fourteen, roots.']));
    expect([house, before.items.map(short)]).toEqual([house, [{ is: 'roots', at: 14 }]]);
    const beside = spoken(`Fourteen, roots, that's under ${house}.`);
    expect([house, beside.map(short)]).toEqual([house, [{ is: 'roots', at: 14 }]]);
  }
});

test('what is gone is not there', () => {
  for (const form of cleanedOut)
    for (const thing of ['roots', 'grease', 'scale'])
      expect([form(thing, inWords(19)), spoken(form(thing, inWords(19)))]).toEqual([
        form(thing, inWords(19)),
        [],
      ]);
});

test('back in the old pipe is no way back; the same at every joint is at every joint', () => {
  for (const next of [
    'back to the original clay',
    'back in the old clay',
    "another coupling and we're back in clay",
  ]) {
    const { items } = narrate(cues(['Clay to pvc at thirty.', `Thirty six, ${next}.`]));
    expect([next, items.map(({ entry }) => entry.pass).includes('back')]).toEqual([next, false]);
    expect([next, items.map(short)]).toEqual([
      next,
      expect.arrayContaining([{ is: 'change', at: 36, near: 'pvc-sch40', far: 'clay' }]),
    ]);
  }
  for (const next of [
    "It's every joint from twelve out to twenty eight.",
    'Same at every joint to twenty eight.',
  ])
    expect(narrate(cues(['Twelve, roots.', next])).items.map(({ entry }) => entry)).toMatchObject([
      { finding: 'roots', reading_ft: 12, to_ft: 28, eachJoint: true },
    ]);
});

test('so many feet of another pipe lie between where the head is and so far on', () => {
  for (const next of ['Next five feet is concrete.', 'Then there is five feet of concrete.'])
    expect(
      narrate(cues(['Roots at seventeen.', next]))
        .items.slice(1)
        .map(short),
    ).toEqual([
      { is: 'change', at: 17, far: 'concrete' },
      { is: 'change', at: 22, near: 'concrete' },
    ]);
});

const rowThings: readonly (readonly [said: string, is: string, measures: Record<string, unknown>])[] = [
  ...things.slice(0, -1).map(([said, is]) => [said, is, {}] as const),
  ['roots, thirty percent', 'roots', { percent: 30 }],
  ['an offset, half inch', 'offset', { inches: 0.5 }],
  ["a crack, at three o'clock", 'crack', { clock: 3 }],
];

test('a row of places and things gives each the place before it, however they are set apart', () => {
  const thing = fc.constantFrom(...rowThings);
  const places = fc.integer({ min: 13, max: 40 });
  const ahead = fc.integer({ min: 2, max: 9 });
  fc.assert(
    fc.property(places, ahead, ahead, thing, thing, thing, (a, by, farther, x, y, z) => {
      const row = [
        [a, x],
        [a + by, y],
        [a + by + farther, z],
      ] as const;
      const want = row.map(([at, [said, is, measures]]) => ({ ...one([said, is], at), ...measures }));
      for (const set of [
        (at: string, said: string) => `${at}, ${said}`,
        (at: string, said: string) => `${at} ${said}`,
        (at: string, said: string) => `${at}, there's ${said}`,
      ])
        means((say) => `so ${row.map(([at, [said]]) => set(say(at), said)).join(', ')}`, a, want);
    }),
    { numRuns: 100 },
  );
});

test('a row said without a comma gives each the place before it too', () => {
  const words = ['roots', 'crack', 'offset', 'hole'] as const;
  for (const x of words)
    for (const y of words.filter((each) => each !== x))
      for (const [a, b] of [
        [14, 17],
        [26, 28],
        [9, 31.5],
      ] as const)
        means((say) => `${say(a)} ${x} ${say(b)} ${y}`, a, [
          { is: x, at: a },
          { is: y, at: b },
        ]);
});

test('three places without commas are a list', () => {
  for (const form of listedPlaces)
    for (const places of [
      [10, 12, 14],
      [14, 18, 21],
      [32, 36, 40],
    ] as const) {
      const [a, b, c] = places.map((at) => inWords(at));
      const said = form('offset', a ?? '', b ?? '', c ?? '');
      expect([said, spoken(said).map(({ entry }) => entry?.reading_ft)]).toEqual([said, [...places]]);
    }
});

test('three feet one after another are three places, two are one that is not sure', () => {
  for (const first of [7, 10, 11]) {
    const [a = '', b = '', c = ''] = [first, first + 1, first + 2].map(inWords);
    expect(spoken(`Roots at ${a} ${b} and ${c}.`).map(({ entry }) => entry?.reading_ft)).toEqual([
      first,
      first + 1,
      first + 2,
    ]);
    expect(spoken(`Roots at ${a} ${b}.`).map(({ entry }) => entry?.reading_ft)).toEqual([first + 0.5]);
  }
});

test('once the camera turns, what is called is seen on the way back', () => {
  for (const turn of turnsBack)
    for (const thing of things.slice(0, -1)) {
      const { items } = narrate(cues(['Sixty one, main.', turn, `Twenty six, ${thing[0]}.`]));
      expect([turn, items.map(({ entry }) => entry.pass)]).toEqual([turn, ['out', 'back']]);
      expect(items.slice(1).map(short)).toEqual([one(thing, 26)]);
    }
});

test('a main that is only seen or supposed is not where the line ends', () => {
  for (const form of mainNotReached)
    for (const at of [24, 57.5])
      expect([form(inWords(at)), spoken(form(inWords(at))).map(short)]).toEqual([form(inWords(at)), []]);
});

// What a test tells: whether this line is the one (arrives), and whether it drains (runs away). Common practice.
test('water sent down is a test with how it went, typed or spoken, in one sentence or two', () => {
  for (const [says, outcome] of testedAt)
    for (const at of [7, 41])
      for (const said of [typed(says(String(at)), lastHour + 1), spoken(says(inWords(at)))])
        expect([says(String(at)), said?.map(({ entry }) => entry)]).toEqual([
          says(String(at)),
          [{ kind: 'test', reading_ft: at, pass: 'out', ...outcome }],
        ]);
  for (const [sent, went, outcome] of testedNext) {
    const { items } = narrate(cues(['Sixty one, main.', sent, went]));
    expect([sent, items.slice(1).map(({ entry }) => entry)]).toEqual([
      sent,
      [{ kind: 'test', reading_ft: 61, pass: 'out', ...outcome }],
    ]);
    expect(items[1]?.sentence).toBe(`${sent} ${went}`);
  }
});

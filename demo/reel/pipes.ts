import type { SimulatedPipe } from '../../core/practice/pipe.js';

/** Invented pipes with known truth, for the simulated reel. */
export const pipes: readonly SimulatedPipe[] = [
  {
    id: 'garden',
    name: 'clay under a garden, 79 ft, two cleanouts',
    length_ft: 78.6,
    accesses: [
      { id: 'CO1', name: 'house cleanout', at_ft: 0, riser_ft: 1.8 },
      { id: 'CO2', name: 'garden cleanout', at_ft: 41.2, riser_ft: 3.1 },
    ],
    stretches: [
      { from_ft: 0, to_ft: 17.4, material: 'abs', diameter_in: 4 },
      { from_ft: 17.4, to_ft: 78.6, material: 'clay', diameter_in: 4, piece_ft: 3 },
    ],
    things: [
      { at_ft: 23.4, what: 'roots', percent: 15, clock: [10, 1] },
      { at_ft: 32.4, what: 'offset', inches: 0.5, clock: 6 },
      { at_ft: 41.2, what: 'cleanout' },
      { at_ft: 53.4, what: 'roots', percent: 30, clock: [9, 3] },
      { at_ft: 64, what: 'crack', form: 'around' },
      { at_ft: 71.4, what: 'separation', inches: 0.75, clock: [12, 12] },
      { at_ft: 78.6, what: 'main' },
    ],
    sags: [{ from_ft: 45, to_ft: 50.5, inches: 1 }],
    depth_ft: [2.3, 7.4],
  },
  {
    id: 'iron',
    name: 'iron, then plastic, 46 ft, one cleanout',
    length_ft: 46.3,
    accesses: [{ id: 'CO1', name: 'wall cleanout', at_ft: 0, riser_ft: 0.6 }],
    stretches: [
      { from_ft: 0, to_ft: 12.2, material: 'cast-iron', diameter_in: 4, piece_ft: 5 },
      { from_ft: 12.2, to_ft: 46.3, material: 'pvc-sdr35', diameter_in: 4, piece_ft: 10 },
    ],
    things: [
      { at_ft: 6.4, what: 'hole', clock: 6 },
      { at_ft: 20.5, what: 'tie-in', clock: 2, inches: 2 },
      { at_ft: 33, what: 'bend' },
      { at_ft: 46.3, what: 'main' },
    ],
    sags: [{ from_ft: 26, to_ft: 31, inches: 0.5 }],
    depth_ft: [1.6, 5],
  },
];

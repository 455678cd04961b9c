import base from '../../jest.config.js';

export default {
  ...base,
  rootDir: '../..',
  transform: { '^.+\\.tsx?$': '<rootDir>/bench/mutants/transform.mjs' },
  setupFilesAfterEnv: ['<rootDir>/bench/mutants/watch.mjs'],
  testSequencer: '<rootDir>/bench/mutants/sequence.mjs',
};

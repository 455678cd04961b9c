/** @type {import('jest').Config} */
export default {
  // Machines here are slow at times: a test ends when its work does.
  testTimeout: 120_000,
  // Left to itself, Jest keeps one of two cores idle.
  maxWorkers: 2,
  testEnvironment: 'node',
  cacheDirectory: '<rootDir>/node_modules/.cache/jest',
  setupFiles: ['<rootDir>/core/test/pinned-seeds.ts'],
  roots: ['<rootDir>/core', '<rootDir>/server', '<rootDir>/cli', '<rootDir>/web'],
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  moduleNameMapper: { '^(\\.{1,2}/.*)\\.js$': '$1' },
  transform: { '^.+\\.tsx?$': '<rootDir>/scripts/jest-transform.mjs' },
};

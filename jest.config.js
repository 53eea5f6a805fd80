/**
 * Core, text, drawing, contract, samples, export and server need no browser: they run in plain Node, one process for many
 * files, whose code is read once and is quick by the second; the web app runs under jest-expo, each file by itself.
 */
const plain = {
  runner: 'jest-light-runner/child-process',
  setupFiles: ['<rootDir>/scripts/readTypescript.mjs', '<rootDir>/scripts/freshSeeds.ts'],
  moduleFileExtensions: ['ts', 'tsx', 'js', 'mjs', 'cjs', 'json'],
};

export default {
  // one core short of all is jest's own choice, which on two leaves one idle
  maxWorkers: '100%',
  // a busy machine stands still for longer than five seconds
  testTimeout: 60_000,
  projects: [
    {
      ...plain,
      displayName: 'packages',
      testMatch: ['<rootDir>/packages/*/{src,test}/**/*.test.ts', '<rootDir>/scripts/test/*.test.ts'],
    },
    { ...plain, displayName: 'server', testMatch: ['<rootDir>/apps/server/**/*.test.ts'] },
    '<rootDir>/apps/web/jest.config.cjs',
  ],
};

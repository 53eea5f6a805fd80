/** Core, text, drawing, contract, samples and server run plain; the web app runs under jest-expo. */
const plain = {
  testEnvironment: 'node',
  setupFiles: ['<rootDir>/scripts/freshSeeds.ts'],
  transform: {
    '^.+\\.(t|j)sx?$': [
      '@swc/jest',
      {
        jsc: { parser: { syntax: 'typescript', tsx: true }, target: 'es2022' },
        module: { type: 'commonjs' },
      },
    ],
  },
  transformIgnorePatterns: ['/node_modules/(?!@steddo/|simple-statistics|fraction.js)'],
  // looked up once instead of through the sandbox: a plan takes a third as long
  sandboxInjectedGlobals: ['Math', 'Float64Array', 'Number', 'Object', 'Array', 'Map', 'Set', 'WeakMap'],
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

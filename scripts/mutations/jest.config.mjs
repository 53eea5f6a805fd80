/** The packages' tests alone, each file by itself, through the transformer that makes the mutation. */
export default {
  rootDir: '../..',
  testEnvironment: 'node',
  setupFiles: ['<rootDir>/scripts/freshSeeds.ts'],
  testMatch: ['<rootDir>/packages/*/test/**/*.test.ts'],
  testTimeout: 60_000,
  transform: {
    '^.+\\.(t|j)sx?$': [
      '<rootDir>/scripts/mutations/transform.cjs',
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

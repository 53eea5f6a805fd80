import base from '../../jest.config.js';

/** The packages' tests alone, through the transformer that makes the mutation. */
const [packages] = base.projects;
const [[pattern, [, options]]] = Object.entries(packages.transform);
export default {
  ...packages,
  rootDir: '../..',
  testMatch: ['<rootDir>/packages/*/test/**/*.test.ts'],
  transform: { [pattern]: ['<rootDir>/scripts/mutations/transform.cjs', options] },
};

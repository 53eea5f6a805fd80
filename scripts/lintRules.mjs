import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { CORE_FOLDERS, PARTS, WEB_FOLDERS, folderOf } from './layers.mjs';
import { ROOT } from './lib.mjs';

const TESTS = ['**/*.test.ts', '**/*.test.tsx', '**/*.bench.ts'];
const PURE = ['core', 'text', 'drawing', 'export'];
const PURE_GLOBALS = [
  'window',
  'document',
  'fetch',
  'process',
  'localStorage',
  'setTimeout',
  'console',
  'performance',
  'crypto',
  'indexedDB',
];

const withoutEnding = (name) => name.replace(/\.tsx?$/, '');

/** The folders and files of a folder, without their endings. */
const within = (folder) => readdirSync(join(ROOT, folder)).map(withoutEnding);

/** What a part's files may not import of other parts and of packages. */
function outsideOf(part) {
  const banned = Object.keys(PARTS).filter((p) => p !== part && !PARTS[part].includes(p));
  return [
    {
      group: banned.flatMap((p) => [`@steddo/${p}`, `@steddo/${p}/*`]),
      message: `${part} must not import this part.`,
    },
    ...(part === 'web' || part === 'server'
      ? []
      : [
          {
            group: ['react*', 'expo*', 'koa*', 'drizzle-orm*', '@libsql/*', 'node:*', 'idb', 'swr', 'pino'],
            message: `${part} is pure: no screen, server, storage or Node.`,
          },
        ]),
    ...(part === 'core'
      ? [{ group: ['@steddo/contract'], allowTypeImports: true, message: 'core takes only types from contract.' }]
      : []),
  ];
}

/** What a folder may not import of those beside it: all that its row of the table does not name. */
function besideOf(folder, may, source) {
  const up = '../'.repeat(folder.split('/').length);
  const inFeature = folder.startsWith('features/');
  const others = [
    ...within(source).map((name) => ({ name, path: `${up}${name}` })),
    ...(inFeature
      ? within(`${source}/features`).map((name) => ({ name: `features/${name}`, path: `../${name}` }))
      : []),
  ].filter(({ name }) => name !== folder && !may.includes(name));
  return {
    group: others.flatMap(({ path }) => [path, `${path}/**`]),
    message: `${folder} may import ${may.join(', ') || 'nothing beside it'}.`,
  };
}

const restricted = (patterns) => ({ 'no-restricted-imports': ['error', { patterns }] });

/** One rule for a folder's imports: the last that fits a file is the one that counts. */
const layersOf = (part, table) => {
  const source = `${folderOf(part)}/src`;
  return Object.entries(table).map(([folder, may]) => ({
    files: [`${source}/${folder}/**/*.{ts,tsx}`],
    excludeFiles: TESTS,
    rules: restricted([...outsideOf(part), besideOf(folder, may, source)]),
  }));
};

/** The table of the core, and nothing for a folder that it does not name. */
const CORE = {
  ...Object.fromEntries(
    readdirSync(join(ROOT, folderOf('core'), 'src'), { withFileTypes: true })
      .filter((entry) => entry.isDirectory())
      .map(({ name }) => [name, []]),
  ),
  ...CORE_FOLDERS,
};

/** What lint holds against a file: the linter's own rules for mistakes, our layers, what pure parts may touch. */
export const LINT_RULES = {
  plugins: ['eslint', 'typescript', 'import', 'react'],
  jsPlugins: [join(ROOT, 'scripts/lintColours.mjs')],
  categories: { correctness: 'error' },
  env: { builtin: true },
  ignorePatterns: ['apps/web/public', 'apps/web/expo-env.d.ts', 'test-results', 'playwright-report'],
  rules: {
    'import/no-cycle': ['error', { ignoreTypes: false }],
    'import/no-duplicates': ['error', { preferInline: true }],
    'no-warning-comments': ['error', { terms: ['prettier-ignore', 'oxfmt-ignore'], location: 'anywhere' }],
    'typescript/no-explicit-any': 'error',
    'typescript/consistent-type-imports': 'error',
    'typescript/ban-ts-comment': 'error',
    'no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_', caughtErrorsIgnorePattern: '^_' }],
    eqeqeq: 'error',
    'no-console': 'error',
    // icons are looked up by their names
    'import/namespace': 'off',
    // advice for a compiler that is not used here
    'react/refs': 'off',
    'react/set-state-in-effect': 'off',
    'react/immutability': 'off',
    'react/purity': 'off',
    'react/incompatible-library': 'off',
  },
  overrides: [
    { files: ['scripts/**'], rules: { 'no-console': 'off' } },
    { files: ['apps/web/index.js'], env: { browser: true } },
    // what the compiler of types does not see
    { files: ['**/*.{mjs,js,cjs}'], env: { node: true }, rules: { 'no-console': 'off', 'no-undef': 'error' } },
    {
      files: ['apps/web/**/*.{ts,tsx}'],
      rules: { 'react/rules-of-hooks': 'error', 'react/exhaustive-deps': 'error' },
    },
    ...Object.keys(PARTS).map((part) => ({
      files: [`${folderOf(part)}/{src,app}/**/*.{ts,tsx}`],
      excludeFiles: TESTS,
      rules: restricted(outsideOf(part)),
    })),
    ...layersOf('core', CORE),
    ...layersOf('web', WEB_FOLDERS),
    {
      files: PURE.map((part) => `packages/${part}/src/**/*.ts`),
      excludeFiles: TESTS,
      rules: {
        'no-restricted-globals': ['error', 'Date', ...PURE_GLOBALS],
        'no-restricted-properties': [
          'error',
          { object: 'Math', property: 'random', message: 'Chance is passed in.' },
          { object: 'Date', property: 'now', message: 'Time is passed in.' },
        ],
      },
    },
    {
      files: ['apps/web/**/*.{ts,tsx}', 'packages/drawing/src/**/*.ts'],
      excludeFiles: ['apps/web/src/ui/tokens.ts', ...TESTS],
      rules: { 'steddo/colours-from-tokens': 'error' },
    },
  ],
};

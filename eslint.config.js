import js from '@eslint/js';
import tseslint from 'typescript-eslint';

/** What each part may import of ours: arrows run one way. */
const MAY_IMPORT = {
  contract: [],
  core: ['contract'],
  text: ['core', 'contract'],
  drawing: ['text', 'core', 'contract'],
  samples: ['contract'],
  server: ['samples', 'text', 'core', 'contract'],
  web: ['drawing', 'text', 'core', 'contract'],
};
const ALL = ['contract', 'core', 'text', 'drawing', 'samples', 'server', 'web'];
const folderOf = (part) => (part === 'server' || part === 'web' ? `apps/${part}` : `packages/${part}`);
const TESTS = ['**/*.test.ts', '**/*.test.tsx', '**/*.bench.ts'];

function arrowsOf(part) {
  const banned = ALL.filter((p) => p !== part && !MAY_IMPORT[part].includes(p));
  const patterns = [
    {
      group: banned.flatMap((p) => [`@steddo/${p}`, `@steddo/${p}/*`]),
      message: `${part} must not import this part.`,
    },
  ];
  if (part !== 'web' && part !== 'server')
    patterns.push({
      group: ['react*', 'expo*', 'koa*', 'drizzle-orm*', '@libsql/*', 'node:*', 'idb', 'swr', 'pino'],
      message: `${part} is pure: no screen, server, storage or Node.`,
    });
  const rules = { 'no-restricted-imports': ['error', { patterns }] };
  if (part === 'core')
    rules['no-restricted-imports'][1].patterns.push({
      group: ['@steddo/contract'],
      allowTypeImports: true,
      message: 'core takes only types from contract.',
    });
  return rules;
}

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
const COLOUR = '/^(#[0-9a-fA-F]{3,8}|rgba?\\(.*|hsla?\\(.*)$/';

export default tseslint.config(
  {
    ignores: [
      '**/node_modules',
      '**/dist',
      '**/.expo',
      '**/.cache',
      'apps/web/public',
      'apps/web/expo-env.d.ts',
      'test-results',
      'playwright-report',
    ],
  },
  js.configs.recommended,
  ...tseslint.configs.recommended,
  {
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      eqeqeq: 'error',
      'no-console': 'error',
    },
  },
  {
    files: ['**/*.mjs', '**/*.js', '**/*.cjs', 'scripts/**'],
    languageOptions: {
      globals: {
        process: 'readonly',
        console: 'readonly',
        fetch: 'readonly',
        setTimeout: 'readonly',
        URL: 'readonly',
        performance: 'readonly',
        module: 'writable',
        require: 'readonly',
        __dirname: 'readonly',
      },
    },
    rules: { 'no-console': 'off', '@typescript-eslint/no-require-imports': 'off' },
  },
  ...ALL.map((part) => ({
    files: [`${folderOf(part)}/src/**/*.{ts,tsx}`, `${folderOf(part)}/app/**/*.{ts,tsx}`],
    ignores: TESTS,
    rules: {
      'no-restricted-imports': 'off',
      '@typescript-eslint/no-restricted-imports': arrowsOf(part)['no-restricted-imports'],
    },
  })),
  {
    files: ['packages/core/src/**/*.ts', 'packages/text/src/**/*.ts', 'packages/drawing/src/**/*.ts'],
    ignores: TESTS,
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
    ignores: ['apps/web/src/ui/tokens.ts', ...TESTS],
    rules: {
      'no-restricted-syntax': ['error', { selector: `Literal[value=${COLOUR}]`, message: 'Colours come from tokens.' }],
    },
  },
);

import js from '@eslint/js';
import importX from 'eslint-plugin-import-x';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

/** What each part may import of ours: arrows run one way. */
const MAY_IMPORT = {
  contract: [],
  core: ['contract'],
  text: ['core', 'contract'],
  drawing: ['text', 'core', 'contract'],
  export: ['drawing', 'text', 'core', 'contract'],
  samples: ['contract'],
  server: ['samples', 'text', 'core', 'contract'],
  web: ['export', 'drawing', 'text', 'core', 'contract'],
};
const ALL = ['contract', 'core', 'text', 'drawing', 'export', 'samples', 'server', 'web'];
const folderOf = (part) => (part === 'server' || part === 'web' ? `apps/${part}` : `packages/${part}`);
/**
 * What each folder of the core may import, from the bottom up: docs/architecture.md has the table in words. A folder
 * that is not named here may not be there.
 */
const BASE = ['primitives', 'room'];
const CORE_FOLDERS = {
  primitives: [],
  photo: ['primitives', 'room', 'edit', 'instruments'],
  room: ['primitives'],
  edit: ['primitives'],
  instruments: ['primitives'],
  sight: BASE,
  arm: BASE,
  wall: BASE,
  screen: BASE,
  fixing: BASE,
  lift: [...BASE, 'arm'],
  corner: [...BASE, 'sight'],
  placement: [...BASE, 'sight', 'corner'],
  reach: [...BASE, 'sight', 'arm'],
  plate: [...BASE, 'wall', 'fixing', 'arm'],
  load: [...BASE, 'wall', 'fixing', 'arm'],
  light: [...BASE, 'wall', 'fixing'],
  looks: [...BASE, 'wall', 'fixing', 'arm', 'plate'],
  scheme: [...BASE, 'wall', 'fixing', 'arm', 'placement', 'plate', 'load'],
  twoWalls: [...BASE, 'sight', 'corner', 'wall', 'fixing', 'arm', 'placement', 'plate', 'load', 'scheme'],
  level: [...BASE, 'arm', 'placement', 'plate'],
  leads: [...BASE, 'arm', 'placement', 'plate'],
  hang: [...BASE, 'arm', 'placement', 'plate'],
  special: [...BASE, 'wall', 'fixing'],
  recess: [...BASE, 'wall', 'fixing'],
  vehicle: [...BASE, 'fixing', 'arm'],
  bench: [...BASE, 'sight', 'arm', 'reach'],
};
const ENDS = ['light', 'looks', 'level', 'leads', 'hang', 'special', 'recess', 'vehicle'];
const BELOW_MOUNT = Object.keys(CORE_FOLDERS).filter((f) => !ENDS.includes(f));
CORE_FOLDERS.mount = BELOW_MOUNT;
CORE_FOLDERS.day = Object.keys(CORE_FOLDERS);
const ABOVE_PLAN = ['compare', 'practice', 'tolerance'];
const BELOW_PLAN = Object.keys(CORE_FOLDERS);
for (const folder of ABOVE_PLAN) CORE_FOLDERS[folder] = [...BELOW_PLAN, 'plan', 'memory'];

/** Relative imports that a folder of the core may not have. */
const coreLayers = Object.entries(CORE_FOLDERS).map(([folder, may]) => ({
  files: [`packages/core/src/${folder}/**/*.ts`],
  ignores: ['**/*.test.ts', '**/*.bench.ts'],
  rules: {
    'import-x/no-restricted-paths': [
      'error',
      {
        zones: [
          {
            target: `packages/core/src/${folder}`,
            from: 'packages/core/src',
            except: [folder, ...may].map((f) => (f === 'plan' || f === 'memory' ? `./${f}.ts` : `./${f}`)),
            message: `${folder} may import ${may.join(', ') || 'nothing of the core'}.`,
          },
        ],
      },
    ],
  },
}));

/** The web app from the bottom up: no feature imports another, and only the shell knows them all. */
const WEB_FOLDERS = {
  ui: [],
  worker: ['data'],
  data: [],
  state: ['data', 'worker', 'ui'],
  canvas: ['state', 'ui', 'data'],
  pad: ['state', 'ui', 'data'],
  work: ['state', 'ui', 'pad', 'canvas'],
};
const BELOW_FEATURES = Object.keys(WEB_FOLDERS);
const FEATURES = [
  'catalogue',
  'crew',
  'day',
  'fit',
  'hang',
  'height',
  'holes',
  'ladder',
  'level',
  'mount',
  'photo',
  'practice',
  'reach',
  'room',
  'rooms',
  'set',
  'tolerance',
  'wall',
];
for (const feature of FEATURES) WEB_FOLDERS[`features/${feature}`] = BELOW_FEATURES;
const webLayers = Object.entries(WEB_FOLDERS).map(([folder, may]) => ({
  files: [`apps/web/src/${folder}/**/*.{ts,tsx}`],
  ignores: ['**/*.test.ts', '**/*.test.tsx'],
  rules: {
    'import-x/no-restricted-paths': [
      'error',
      {
        zones: [
          {
            target: `apps/web/src/${folder}`,
            from: 'apps/web/src',
            except: [folder, ...may].map((f) => `./${f}`),
            message: `${folder} may import ${may.join(', ') || 'nothing of the web app'}.`,
          },
        ],
      },
    ],
  },
}));

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
    plugins: { 'import-x': importX },
    settings: {
      'import-x/resolver': { node: { extensions: ['.ts', '.tsx', '.js', '.mjs'] } },
      'import-x/parsers': { '@typescript-eslint/parser': ['.ts', '.tsx'] },
      'import-x/extensions': ['.ts', '.tsx', '.js', '.mjs'],
    },
    rules: {
      'import-x/no-cycle': ['error', { ignoreExternal: true }],
      'import-x/no-duplicates': ['error', { 'prefer-inline': true }],
      'no-warning-comments': ['error', { terms: ['prettier-ignore'], location: 'anywhere' }],
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
  ...coreLayers,
  ...webLayers,
  {
    files: ['apps/web/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': reactHooks },
    rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
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
    files: ['core', 'text', 'drawing', 'export'].map((part) => `packages/${part}/src/**/*.ts`),
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

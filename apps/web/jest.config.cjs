/** The web app's own units, under jest-expo. */
module.exports = {
  displayName: 'web',
  preset: 'jest-expo/web',
  rootDir: __dirname,
  setupFiles: ['<rootDir>/jest.setup.cjs'],
  // what Metro does to the web app's imports, by a compiler that is ten times as quick in a fresh clone
  moduleNameMapper: {
    '^react-native$': 'react-native-web',
    // one Paper, whichever way it is imported
    '^react-native-paper/lib/module/(.*)$': 'react-native-paper/lib/commonjs/$1',
  },
  transform: {
    '\\.[jt]sx?$': [
      '@swc/jest',
      {
        jsc: {
          parser: { syntax: 'typescript', tsx: true },
          target: 'es2022',
          transform: { react: { runtime: 'automatic' } },
        },
        module: { type: 'commonjs' },
      },
    ],
  },
  // looked up once instead of through the sandbox: a plan takes a third as long
  sandboxInjectedGlobals: ['Math', 'Float64Array', 'Number', 'Object', 'Array', 'Map', 'Set', 'WeakMap'],
  testMatch: ['<rootDir>/src/**/*.test.{ts,tsx}'],
  transformIgnorePatterns: [
    'node_modules/(?!((jest-)?react-native|@react-native(-community)?)|expo(nent)?|@expo(nent)?/.*|@expo-google-fonts/.*|expo-router|react-navigation|@react-navigation/.*|react-native-paper|@steddo/.*|simple-statistics|idb)',
  ],
};

const { getDefaultConfig } = require('expo/metro-config');
const path = require('node:path');

const config = getDefaultConfig(__dirname);

// zod ships every language, reads and writes foreign schemas and compiles its own; the app words its own faults, has its
// own schemas and reads with them as they are.
const stub = path.join(__dirname, 'src/zodSpared.ts');
// of the statistics one function is used, and the package lets no part be imported by itself
const statistics = path.join(__dirname, 'src/statistics.js');
const SPARED =
  /(^|\/)(locales(\/index)?|from-json-schema|to-json-schema|json-schema-(generator|processors)|compile)(\.c?js)?$/;
config.resolver.resolveRequest = (context, name, platform) => {
  if (name === 'simple-statistics') return { type: 'sourceFile', filePath: statistics };
  const fromZod = context.originModulePath.includes(`${path.sep}zod${path.sep}`);
  if (fromZod && SPARED.test(name)) return { type: 'sourceFile', filePath: stub };
  return context.resolveRequest(context, name, platform);
};
// a module is run when something of it is first used: most of a stage is not, as its page opens
config.transformer.getTransformOptions = () =>
  Promise.resolve({ transform: { experimentalImportSupport: false, inlineRequires: true } });
// what a file is made of depends on where our packages have their things
const { digestOfIndexes } = require('./directImports.js');
config.cacheVersion = digestOfIndexes();
// the minifier gives what Metro adds short names anyway; a quarter of the building
config.transformer.unstable_disableNormalizePseudoGlobals = true;
config.transformer.minifierPath = require.resolve('./minify.js');
config.cacheStores = ({ FileStore }) => [new FileStore({ root: path.join(__dirname, '../../.cache/metro') })];

module.exports = config;

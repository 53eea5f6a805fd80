const { getDefaultConfig } = require('expo/metro-config');
const path = require('node:path');

const config = getDefaultConfig(__dirname);

// zod ships every language; the app words its own faults, so the locales are left out.
const stub = path.join(__dirname, 'src/zodLocales.ts');
// of the statistics one function is used, and the package lets no part be imported by itself
const statistics = path.join(__dirname, 'src/statistics.js');
config.resolver.resolveRequest = (context, name, platform) => {
  if (name === 'simple-statistics') return { type: 'sourceFile', filePath: statistics };
  const fromZod = context.originModulePath.includes(`${path.sep}zod${path.sep}`);
  if (fromZod && /(^|\/)locales(\/index)?(\.c?js)?$/.test(name)) return { type: 'sourceFile', filePath: stub };
  return context.resolveRequest(context, name, platform);
};
// a module is run when something of it is first used: most of a stage is not, as its page opens
config.transformer.getTransformOptions = () =>
  Promise.resolve({ transform: { experimentalImportSupport: false, inlineRequires: true } });
config.transformer.minifierPath = require.resolve('./minify.js');
config.cacheStores = ({ FileStore }) => [new FileStore({ root: path.join(__dirname, '../../.cache/metro') })];

module.exports = config;

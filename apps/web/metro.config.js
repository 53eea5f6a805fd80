const { getDefaultConfig } = require('expo/metro-config');
const path = require('node:path');

const config = getDefaultConfig(__dirname);

// zod ships every language; the app words its own faults, so the locales are left out.
const stub = path.join(__dirname, 'src/zodLocales.ts');
config.resolver.resolveRequest = (context, name, platform) => {
  const fromZod = context.originModulePath.includes(`${path.sep}zod${path.sep}`);
  if (fromZod && /(^|\/)locales(\/index)?(\.c?js)?$/.test(name)) return { type: 'sourceFile', filePath: stub };
  return context.resolveRequest(context, name, platform);
};
config.transformer.minifierPath = require.resolve('./minify.js');
config.cacheStores = ({ FileStore }) => [new FileStore({ root: path.join(__dirname, '../../.cache/metro') })];

module.exports = config;

const { createHash } = require('node:crypto');
const swc = require('@swc/jest');

/** The usual transformer, with one listed change made to one file on its way in; no file is written. */
const mutation = JSON.parse(process.env.STEDDO_MUTATION ?? 'null');
const isMutated = (path) => mutation !== null && path.endsWith(`/packages/${mutation.home}/src/${mutation.file}`);

module.exports = {
  createTransformer(options) {
    const inner = swc.createTransformer(options);
    const mutated = (source) => source.replace(mutation.from, () => mutation.to);
    return {
      ...inner,
      process: (source, path, ...rest) => inner.process(isMutated(path) ? mutated(source) : source, path, ...rest),
      getCacheKey: (source, path, ...rest) => {
        const key = inner.getCacheKey(source, path, ...rest);
        if (!isMutated(path)) return key;
        return createHash('sha256').update(key).update(JSON.stringify(mutation)).digest('hex');
      },
    };
  },
};

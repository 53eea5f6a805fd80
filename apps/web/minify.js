const { transform } = require('esbuild');

/**
 * Metro's minifier: esbuild does it in a tenth of the usual one's time. No target: what it would add for
 * older browsers stands outside the module, where every module has its own of the same name.
 */
module.exports = async ({ code }) => transform(code, { minify: true, legalComments: 'none' });

const { transform } = require('esbuild');

/** Metro's minifier: esbuild does it in a tenth of the usual one's time, for a few hundredths more bytes. */
module.exports = async ({ code }) => transform(code, { minify: true, target: 'es2020', legalComments: 'none' });

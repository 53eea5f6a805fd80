import fc from 'fast-check';

/*
 * Property tests that name no seed draw a fresh one each run and print it when they fail; STEDDO_SEED runs it again.
 * A seed that failed once is written into its test.
 */
const given = Number(process.env.STEDDO_SEED);
if (Number.isInteger(given) && given > 0) fc.configureGlobal({ ...fc.readConfigureGlobal(), seed: given });

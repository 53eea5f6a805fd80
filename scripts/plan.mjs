import { runProgram } from './lib.mjs';

/** npm run --silent plan -- FILE [--catalogue FILE] [--tolerance [--seed N]]: the plan file on standard output. */
await runProgram('planFile');

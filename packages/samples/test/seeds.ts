/** A seed of its own for each run, printed; what failed once is kept in the list beside the test and run too. */
export function freshSeed(name: string, failed: readonly number[]): number {
  const given = Number(process.env.STEDDO_SEED);
  const seed = Number.isInteger(given) && given > 0 ? given : (failed[0] ?? Math.floor(Math.random() * 2 ** 31));
  process.stderr.write(`seed of ${name}: ${seed} (STEDDO_SEED=${seed} runs it again)\n`);
  return seed;
}

import { parseArgs } from 'node:util';
import { checkFile, job } from '@steddo/contract';
import { plan, toleranceOf, withKit } from '@steddo/core';
import { planFile } from '@steddo/text';
import { readCatalogue, readJson, refuse, valid } from './readFiles';
import { toStandardOutput } from './standardOutput';

function readCall(): { file: string; catalogueFile?: string; seed?: number; tolerance: boolean } {
  const usage = 'usage: npm run --silent plan -- FILE [--catalogue FILE] [--tolerance [--seed N]]';
  try {
    const { values, positionals } = parseArgs({
      allowPositionals: true,
      options: { catalogue: { type: 'string' }, seed: { type: 'string' }, tolerance: { type: 'boolean' } },
    });
    const [file, ...more] = positionals;
    if (!file || more.length > 0) return refuse([usage]);
    if (values.seed !== undefined && !/^\d+$/.test(values.seed))
      return refuse([`--seed: takes a whole number, not "${values.seed}"`]);
    return {
      file,
      tolerance: values.tolerance ?? false,
      ...(values.catalogue ? { catalogueFile: values.catalogue } : {}),
      ...(values.seed ? { seed: Number(values.seed) } : {}),
    };
  } catch (error) {
    return refuse([(error as Error).message, usage]);
  }
}

/** The same draws for everybody who names no seed. */
const USUAL_SEED = 1;

const call = readCall();
const { mounts, ...kit } = readCatalogue(call.catalogueFile);
// the demo's kit is nobody's
const read = withKit(valid(checkFile(job, readJson(call.file))), kit, call.catalogueFile !== undefined);
const made = plan(read, { mounts, nextLook: true, ways: 'tried' });
const tolerance = call.tolerance ? toleranceOf(read, made, call.seed ?? USUAL_SEED) : undefined;
const whole = { ...made, ...(tolerance ? { tolerance } : {}) };
toStandardOutput(`${JSON.stringify(planFile(whole, read), null, 2)}\n`);

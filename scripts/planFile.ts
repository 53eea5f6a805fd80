import { readFileSync, writeSync } from 'node:fs';
import { resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { parse } from 'csv-parse/sync';
import {
  CATALOGUE_BOUNDS,
  catalogue,
  catalogueFromRows,
  checkFile,
  job,
  type Catalogue,
  type Checked,
} from '@steddo/contract';
import { plan, toleranceOf, withKit } from '@steddo/core';
import { demoCatalogue } from '@steddo/samples';
import { planFile } from '@steddo/text';

/** Faults of the call or of a file: one line each on standard error, exit 2, no stack traces. */
function refuse(lines: string[]): never {
  writeSync(2, lines.map((line) => `${onOneLine(line)}\n`).join(''));
  process.exit(2);
}

/** A name in a file may hold anything: what would break the line or the terminal is written as its number. */
const onOneLine = (line: string): string =>
  line.replace(/\p{Cc}/gu, (c) => `\\u${c.charCodeAt(0).toString(16).padStart(4, '0')}`);

const fromWhereTheUserStands = (file: string): string => resolve(process.env.STEDDO_FROM ?? process.cwd(), file);

function readText(file: string): string {
  try {
    return readFileSync(fromWhereTheUserStands(file), 'utf8');
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    const why = code === 'ENOENT' ? 'there is no such file' : `cannot be read (${code})`;
    return refuse([`${file}: ${why}`]);
  }
}

function readJson(file: string): unknown {
  try {
    return JSON.parse(readText(file).replace(/^\uFEFF/, ''));
  } catch (error) {
    return refuse([`${file}: is not JSON: ${(error as Error).message}`]);
  }
}

function valid<T>(checked: Checked<T>): T {
  if (checked.ok) return checked.value;
  return refuse(checked.faults.map((f) => `${f.path}: ${f.reason}`));
}

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

function readCatalogue(file: string | undefined): Catalogue {
  if (file === undefined) return demoCatalogue;
  return valid(/\.csv$/i.test(file) ? readCsv(file) : checkFile(catalogue, readJson(file), CATALOGUE_BOUNDS));
}

function readCsv(file: string): Checked<Catalogue> {
  const text = readText(file);
  try {
    const rows = parse(text, { bom: true, relax_column_count: true, skip_empty_lines: true });
    return catalogueFromRows(rows as string[][]);
  } catch (error) {
    return refuse([`${file}: is not CSV: ${(error as Error).message}`]);
  }
}

/** The same draws for everybody who names no seed. */
const USUAL_SEED = 1;

const call = readCall();
const { mounts, ...kit } = readCatalogue(call.catalogueFile);
const read = withKit(valid(checkFile(job, readJson(call.file))), kit);
const made = plan(read, { mounts, nextLook: true });
const tolerance = call.tolerance ? toleranceOf(read, made, call.seed ?? USUAL_SEED) : undefined;
const whole = { ...made, ...(tolerance ? { tolerance } : {}) };
process.stdout.write(`${JSON.stringify(planFile(whole, read), null, 2)}\n`);

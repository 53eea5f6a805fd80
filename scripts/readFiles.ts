import { existsSync, readFileSync, writeSync } from 'node:fs';
import { resolve } from 'node:path';
import { parse } from 'csv-parse/sync';
import {
  CATALOGUE_BOUNDS,
  catalogue,
  catalogueFromRows,
  checkFile,
  jpegHead,
  picturePath,
  type Catalogue,
  type Checked,
  type Job,
} from '@steddo/contract';
import { demoCatalogue } from '@steddo/samples';

/** Files as a command line reads them: every fault one line on standard error, exit 2. */

/** Faults of the call or of a file: one line each on standard error, exit 2, no stack traces. */
export function refuse(lines: string[]): never {
  writeSync(2, lines.map((line) => `${onOneLine(line)}\n`).join(''));
  process.exit(2);
}

/** A name in a file may hold anything: what would break the line or the terminal is written as its number. */
const onOneLine = (line: string): string =>
  line.replace(/\p{Cc}/gu, (c) => `\\u${c.charCodeAt(0).toString(16).padStart(4, '0')}`);

export const fromWhereTheUserStands = (file: string): string => resolve(process.env.STEDDO_FROM ?? process.cwd(), file);

export function readText(file: string): string {
  return readBytes(file).toString('utf8');
}

function readBytes(file: string): Buffer {
  try {
    return readFileSync(fromWhereTheUserStands(file));
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    const why = code === 'ENOENT' ? 'there is no such file' : `cannot be read (${code})`;
    return refuse([`${file}: ${why}`]);
  }
}

export function readJson(file: string): unknown {
  try {
    return JSON.parse(readText(file).replace(/^\uFEFF/, ''));
  } catch (error) {
    return refuse([`${file}: is not JSON: ${(error as Error).message}`]);
  }
}

export function valid<T>(checked: Checked<T>): T {
  if (checked.ok) return checked.value;
  return refuse(checked.faults.map((f) => `${f.path}: ${f.reason}`));
}

export function readCatalogue(file: string | undefined): Catalogue {
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

/** The pictures of a job that are beside its file, by their ids; one that is there and is no JPEG is a fault. */
export function readPictures(file: string, { photos = [] }: Job): Map<string, Uint8Array> {
  const found = new Map<string, Uint8Array>();
  for (const { id } of photos) {
    const path = picturePath(file, id);
    if (!existsSync(fromWhereTheUserStands(path))) continue;
    const bytes = new Uint8Array(readBytes(path));
    if (!jpegHead(bytes)) refuse([`${path}: is no JPEG`]);
    found.set(id, bytes);
  }
  return found;
}

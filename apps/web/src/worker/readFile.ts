import Papa from 'papaparse';
import { catalogueFromJson, catalogueReader, separatorOf, type Catalogue, type Checked } from '@steddo/contract';
import { pause, type Progress, type StillWanted } from './catalogueJob';

/** What kind of file it is, by its name. */
export const isCsv = (name: string): boolean => /\.(csv|txt|tsv)$/i.test(name);

/**
 * Reads a catalogue file in pieces and checks it, so that it can be called off (undefined) and
 * shows how far it is. Every fault names row, column and reason, or path and reason.
 */
export async function readCatalogueFile(
  file: Blob,
  csv: boolean,
  wanted: StillWanted,
  progress: Progress,
): Promise<Checked<Catalogue> | undefined> {
  if (csv) return readCsv(file, wanted, progress);
  const text = await file.text();
  if (!wanted()) return undefined;
  progress(file.size / 2, file.size);
  await pause();
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch (error) {
    const reason = `is not JSON: ${error instanceof Error ? error.message : ''}`;
    return { ok: false, faults: [{ path: '(file)', reason }] };
  }
  return catalogueFromJson(value, async (done, of) => {
    progress((file.size * (of + done)) / (2 * of), file.size);
    await pause();
    return wanted();
  });
}

/** More than the names of all columns. */
const HEAD_BYTES = 16 * 1024;

async function readCsv(file: Blob, wanted: StillWanted, progress: Progress): Promise<Checked<Catalogue> | undefined> {
  const reader = catalogueReader();
  const delimiter = separatorOf(await file.slice(0, HEAD_BYTES).text());
  return new Promise((resolve) => {
    let row = 0;
    Papa.parse<string[]>(file as File, {
      delimiter,
      chunkSize: 256 * 1024,
      chunk: (results, parser) => {
        for (const cells of results.data) {
          row += 1;
          reader.add(cells);
        }
        progress(results.meta.cursor, file.size);
        const bad = results.errors.find((e) => e.type === 'Quotes');
        if (bad) {
          parser.abort();
          resolve({ ok: false, faults: [{ path: `row ${row}`, reason: bad.message }] });
        } else if (!wanted()) {
          parser.abort();
          resolve(undefined);
        }
      },
      complete: () => resolve(wanted() ? reader.finish() : undefined),
      error: (error) => resolve({ ok: false, faults: [{ path: '(file)', reason: error.message }] }),
    });
  });
}

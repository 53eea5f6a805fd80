import { writeFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { checkFile, job } from '@steddo/contract';
import { plan, withKit } from '@steddo/core';
import { DRAWN, makeFile, NotMade, PAPERS, SHEET_PARTS, TABLES, type Asked } from '@steddo/export';
import { paperFonts } from './paperFonts';
import { fromWhereTheUserStands, readCatalogue, readJson, readPictures, refuse, valid } from './readFiles';
import { toStandardOutput } from './standardOutput';

const FORMATS = ['pdf', 'template', 'svg', 'dxf', 'ics', 'csv'] as const;

const USAGE =
  'usage: npm run --silent sheet -- FILE --to pdf|template|svg|dxf|ics|csv [--part sheet|customer|record] [--paper a4|letter|roll] [--width MM] [--view face|above|side|section|template] [--what holes|parts] [--catalogue FILE] [--out FILE]';

function readCall() {
  try {
    const { values, positionals } = parseArgs({
      allowPositionals: true,
      options: {
        to: { type: 'string' },
        part: { type: 'string' },
        paper: { type: 'string' },
        width: { type: 'string' },
        view: { type: 'string' },
        what: { type: 'string' },
        out: { type: 'string' },
        catalogue: { type: 'string' },
      },
    });
    const [file, ...more] = positionals;
    if (!file || more.length > 0 || values.to === undefined) return refuse([USAGE]);
    const width = values.width === undefined ? undefined : Number(values.width);
    if (width !== undefined && !(width > 0 && width <= 10_000))
      return refuse([`--width: takes millimetres up to 10000, not "${values.width}"`]);
    const to = oneOf('--to', FORMATS, values.to);
    const paper = oneOf('--paper', PAPERS, values.paper ?? 'a4');
    if (paper === 'roll' && to === 'pdf') return refuse(['--paper: roll is for the template; a sheet is a4 or letter']);
    return {
      part: values.part === undefined ? undefined : oneOf('--part', SHEET_PARTS, values.part),
      ...{ file, to, paper, width, out: values.out, catalogueFile: values.catalogue },
      view: oneOf('--view', DRAWN, values.view ?? 'face'),
      what: oneOf('--what', TABLES, values.what ?? 'holes'),
    };
  } catch (error) {
    return refuse([(error as Error).message, USAGE]);
  }
}

function oneOf<T extends string>(name: string, all: readonly T[], value: string): T {
  const found = all.find((a) => a === value);
  return found ?? refuse([`${name}: takes ${all.join(', ')}, not "${value}"`]);
}

type Call = ReturnType<typeof readCall>;

/** What was called for, with no more than its format takes. */
function askedOf({ to, part, paper, width, view, what }: Call): Asked {
  switch (to) {
    case 'pdf':
      return { to, part, paper: paper === 'roll' ? 'a4' : paper };
    case 'template':
      return { to, paper, width };
    case 'svg':
    case 'dxf':
      return { to, view };
    case 'csv':
      return { to, what };
    case 'ics':
      return { to };
  }
}

const call = readCall();
const { mounts: _, ...kit } = readCatalogue(call.catalogueFile);
const read = withKit(valid(checkFile(job, readJson(call.file))), kit);
try {
  const pictures = readPictures(call.file, read);
  const whole = await makeFile({ job: read, plan: plan(read), pictures }, askedOf(call), {
    fonts: paperFonts,
    at: new Date(),
  });
  if (call.out !== undefined) {
    try {
      writeFileSync(fromWhereTheUserStands(call.out), whole);
    } catch (error) {
      refuse([`${call.out}: cannot be written (${(error as NodeJS.ErrnoException).code})`]);
    }
  } else toStandardOutput(whole);
} catch (error) {
  if (error instanceof NotMade) refuse([error.message]);
  throw error;
}

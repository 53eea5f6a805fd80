import { spawnSync } from 'node:child_process';
import { closeSync, existsSync, mkdirSync, mkdtempSync, openSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { build } from 'esbuild';
import sharp from 'sharp';
import { guestRoom } from '@steddo/samples';

/* `npm run sheet`: a file on standard output or where it was asked for; else one line on standard error, and exit 2. */

const ROOT = join(import.meta.dirname, '../../..');
const folder = mkdtempSync(join(tmpdir(), 'steddo-sheet-'));
const job = (name: string, value: unknown) => {
  writeFileSync(join(folder, name), JSON.stringify(value));
  return name;
};
/** The program as one file, beside the packages that it looks for: put together once, not before each of its runs. */
const PROGRAM = join(ROOT, `.cache/sheet-${process.pid}.mjs`);
beforeAll(() =>
  build({
    entryPoints: [join(ROOT, 'scripts/sheetFile.ts')],
    outfile: PROGRAM,
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    banner: { js: `import{createRequire as from}from'node:module';const require=from(import.meta.url);` },
  }),
);
afterAll(() => rmSync(PROGRAM, { force: true }));

const sheetIn = (env: Record<string, string>, ...args: string[]) =>
  spawnSync('node', [PROGRAM, ...args], {
    cwd: ROOT,
    env: { ...process.env, STEDDO_FROM: folder, ...env },
  });
const sheet = (...args: string[]) => sheetIn({}, ...args);

const GUEST = job('guest.json', guestRoom);
const VISIT = job('visit.json', { ...guestRoom, visit: { start: '2027-03-04T09:00' } });

it('writes each format to standard output, and nothing else', () => {
  const made = (...args: string[]) => {
    const { status, stdout, stderr } = sheet(...args);
    expect([args.join(' '), status, stderr.toString()]).toEqual([args.join(' '), 0, '']);
    return stdout;
  };
  expect(made(GUEST, '--to', 'pdf').subarray(0, 5).toString()).toBe('%PDF-');
  expect(made(GUEST, '--to', 'svg', '--view', 'side').toString()).toMatch(/^<\?xml/);
  expect(made(VISIT, '--to', 'ics').toString()).toMatch(/^BEGIN:VCALENDAR\r\n/);
  expect(made(GUEST, '--to', 'csv', '--what', 'parts').toString()).toMatch(/^what,kind,count/);
}, 120_000);

it.each(['America/New_York', 'Asia/Kolkata'])(
  'a visit at nine is at nine in %s',
  (TZ) => {
    expect(sheetIn({ TZ }, VISIT, '--to', 'ics').stdout.toString()).toContain('\r\nDTSTART:20270304T090000\r\n');
  },
  60_000,
);

it('writes a file from where the user stands', () => {
  const { status, stdout } = sheet(GUEST, '--to', 'template', '--paper', 'roll', '--width', '914', '--out', 'roll.pdf');
  expect([status, stdout.length]).toEqual([0, 0]);
  expect(existsSync(join(folder, 'roll.pdf'))).toBe(true);
  expect(readFileSync(join(folder, 'roll.pdf')).subarray(0, 5).toString()).toBe('%PDF-');
}, 60_000);

it('says a disk that is full in one line; a reader that has enough is nobody’s fault', () => {
  const full = openSync('/dev/full', 'w');
  const { status, stderr } = spawnSync('node', [PROGRAM, GUEST, '--to', 'svg'], {
    env: { ...process.env, STEDDO_FROM: folder },
    stdio: ['ignore', full, 'pipe'],
  });
  closeSync(full);
  expect([status, stderr.toString()]).toEqual([2, 'standard output: cannot be written (ENOSPC)\n']);
  const piped = spawnSync('sh', ['-c', `node ${PROGRAM} ${GUEST} --to pdf | head -c 5`], {
    env: { ...process.env, STEDDO_FROM: folder },
  });
  expect([piped.stdout.toString(), piped.stderr.toString()]).toEqual(['%PDF-', '']);
}, 60_000);

it('has the pictures that lie beside the job in its record; one that is none is named', async () => {
  const photos = [
    { id: 'p-1', of: 'room' },
    { id: '../p-2', of: 'room' },
  ];
  const file = job('pictured.steddo.json', { ...guestRoom, photos });
  mkdirSync(join(folder, 'pictured.pictures'));
  const picture = await sharp({ create: { width: 40, height: 30, channels: 3, background: '#a98' } })
    .jpeg()
    .toBuffer();
  writeFileSync(join(folder, 'pictured.pictures/p-1.jpg'), picture);
  const { stdout, status } = sheet(file, '--to', 'pdf', '--part', 'record');
  expect([status, stdout.includes(picture)]).toEqual([0, true]);
  writeFileSync(join(folder, 'pictured.pictures/p-1.jpg'), 'words');
  const refused = sheet(file, '--to', 'pdf');
  expect([refused.status, refused.stderr.toString()]).toEqual([2, 'pictured.pictures/p-1.jpg: is no JPEG\n']);
}, 60_000);

it.each([
  ['no such part', [GUEST, '--to', 'pdf', '--part', 'all'], /^--part: takes sheet, customer, record, not "all"\n$/],
  ['no visit', [GUEST, '--to', 'ics'], /^there is no visit: say when somebody comes \(visit\.start\)\n$/],
  ['no such format', [GUEST, '--to', 'doc'], /^--to: takes pdf, template, svg, dxf, ics, csv, not "doc"\n$/],
  ['no such file', ['none.json', '--to', 'pdf'], /^none\.json: there is no such file\n$/],
  [
    'a roll too narrow',
    [GUEST, '--to', 'template', '--paper', 'roll', '--width', '200'],
    /^the roll is 200 mm wide and the template needs \d+\n$/,
  ],
  ['a width that is none', [GUEST, '--to', 'template', '--width', 'wide'], /^--width: takes millimetres/],
  [
    'a folder that is not there',
    [GUEST, '--to', 'svg', '--out', 'no/where.svg'],
    /^no\/where\.svg: cannot be written \(ENOENT\)\n$/,
  ],
])(
  'says %s in one line, and exits with 2',
  (_, args, said) => {
    const { status, stdout, stderr } = sheet(...args);
    expect([status, stdout.toString()]).toEqual([2, '']);
    expect(stderr.toString()).toMatch(said);
  },
  60_000,
);

import { parse } from 'csv-parse/sync';
import {
  CATALOGUE_COLUMNS,
  catalogue,
  catalogueFromRows,
  catalogueReader,
  catalogueRows,
  checkFile,
  separatorOf,
} from '../src';
import { demoCatalogue } from '@steddo/samples';

const GOOD: Record<string, string> = {
  id: 'a',
  name: 'Alpha',
  type: 'full-motion',
  maxMass: '30',
  'screenSize.min': '800',
  'screenSize.max': '1400',
  'pattern.min.width': '100',
  'pattern.min.height': '100',
  'pattern.max.width': '400',
  'pattern.max.height': '400',
  'depth.folded': '55',
  'walls.timber-stud.maxBoard': '16',
  'walls.timber-stud.fixing.kind': 'lag',
  'walls.timber-stud.fixing.diameter': '7.94',
  'walls.timber-stud.fixing.length': '64',
  'walls.timber-stud.fixing.count': '4',
  'walls.masonry': 'true',
  'pattern.only': '200x200;400x400',
  'tilt.down': '12',
  'studs.count': '2',
  'plate.width': '460',
  'plate.height': '220',
  'plate.slots': '-200x40x40x8;200x40x40x8',
  'plate.open': '-60x60x-40x40',
  patternAboveHook: '-60;-10',
  'arm.kind': 'links',
  'arm.links': '240;230',
  'arm.limits.shoulder': '-80;80',
  'bag.screws': 'M6x12;M8x20',
  'bag.spacers': '10;20',
  serviceStand: 'false',
  price: '89.5',
};
const COLUMNS = Object.keys(GOOD);
const good = Object.values(GOOD);
const withCell = (column: string, text: string) => good.map((c, i) => (COLUMNS[i] === column ? text : c));
const faultsOf = (rows: string[][]) => {
  const read = catalogueFromRows(rows);
  return read.ok ? [] : read.faults.map((f) => `${f.path}: ${f.reason}`);
};
const faults = (...rows: string[][]) => faultsOf([COLUMNS, ...rows]);
const without = (column: string, cells: string[]) => cells.filter((_, i) => COLUMNS[i] !== column);

const TYPES = '"fixed", "tilt", "full-motion", "corner", "vehicle", "monitor-arm", "recess"';

/** A cell of row 2, and the whole of what has to be said of it: column (with the item in a list), reason. */
const CELLS: [column: string, text: string, said: string][] = [
  ['maxMass', 'heavy', 'maxMass: takes a number, not "heavy"'],
  ['maxMass', '-3', 'maxMass: must be more than 0, not -3'],
  ['maxMass', '', 'maxMass: is missing (takes a number)'],
  ['maxMass', '30 kg', 'maxMass: takes a number, not "30 kg" (no unit: mm and kg)'],
  ['maxMass', '12,5', 'maxMass: takes a number, not "12,5" (write the decimal with a point)'],
  ['maxMass', '0x20', 'maxMass: takes a number, not "0x20"'],
  ['maxMass', '1e3', 'maxMass: takes a number, not "1e3"'],
  ['maxMass', '99999', 'maxMass: must be at most 1000'],
  ['id', '', 'id: is missing (takes text)'],
  ['name', '', 'name: is missing (takes text)'],
  ['type', 'sideways', `type: takes ${TYPES}, not "sideways"`],
  ['type', '', `type: is missing (takes ${TYPES})`],
  ['screenSize.max', '700', 'screenSize.max: is less than min'],
  ['screenSize.min', '-1', 'screenSize.min: must be at least 0, not -1'],
  ['pattern.min.width', '0', 'pattern.min.width: must be more than 0, not 0'],
  ['pattern.max.height', '100001', 'pattern.max.height: must be at most 3000'],
  ['pattern.only', '200', 'pattern.only: "200" has 1 part and needs 2'],
  ['pattern.only', '200x', 'pattern.only: takes a number, not ""'],
  ['depth.folded', '-1', 'depth.folded: must be at least 0, not -1'],
  ['tilt.down', '400', 'tilt.down: must be at most 360'],
  ['studs.count', '7', 'studs.count: must be at most 6'],
  ['walls.timber-stud.fixing.kind', 'nail', 'walls.timber-stud.fixing.kind: does not take "nail"'],
  ['walls.timber-stud.fixing.kind', '', 'walls.timber-stud.fixing.kind: is missing'],
  ['walls.timber-stud.fixing.count', '2.5', 'walls.timber-stud.fixing.count: takes a whole number, not 2.5'],
  ['walls.timber-stud.fixing.count', '41', 'walls.timber-stud.fixing.count: must be at most 40'],
  ['walls.timber-stud.fixing.length', '', 'walls.timber-stud.fixing.length: is missing (takes a number)'],
  ['walls.masonry', 'yes', 'walls.masonry: takes true or false, not "yes"'],
  ['plate.width', '', 'plate.width: is missing (takes a number)'],
  ['plate.slots', '-200x40x40', 'plate.slots: "-200x40x40" has 3 parts and needs 4'],
  ['plate.slots', '1x2x3xz', 'plate.slots: takes a number, not "z"'],
  ['plate.slots', '1x2x3x4;1x2x0x8', 'plate.slots.1.length: must be more than 0, not 0'],
  ['plate.open', '60x-60x-40x40', 'plate.open.0.right: must be right of left'],
  ['plate.open', '-60x60x40x-40', 'plate.open.0.top: must be above bottom'],
  ['patternAboveHook', '-60;ten', 'patternAboveHook: takes a number, not "ten"'],
  ['arm.kind', 'elbow', 'arm.kind: takes "links", "scissor", not "elbow"'],
  ['arm.kind', '', 'arm.kind: is missing (takes "links", "scissor")'],
  ['arm.links', '1;2;3;4;5', 'arm.links: must be at most 4 entries'],
  ['arm.limits.shoulder', '80;-80', 'arm.limits.shoulder: takes its lower limit first'],
  ['arm.limits.shoulder', '80', 'arm.limits.shoulder: must be at least 2 entries'],
  ['bag.screws', 'M6', 'bag.screws: "M6" has 1 part and needs 2'],
  ['bag.spacers', '0', 'bag.spacers.0: must be more than 0, not 0'],
  ['serviceStand', 'TRUE', 'serviceStand: takes true or false, not "TRUE"'],
  ['price', '-1', 'price: must be at least 0, not -1'],
];

/** Whole rows or whole tables that cannot be taken. */
const TABLES: [what: string, rows: string[][], said: string[]][] = [
  ['no rows at all', [], ['row 1: has no names of columns']],
  ['only the names', [COLUMNS], ['row 2: is missing: there is no mount']],
  ['only blank rows', [COLUMNS, ['', ' ']], ['row 2: is missing: there is no mount']],
  ['a cell too many', [COLUMNS, [...good, 'x']], ['row 2: has 33 cells for 32 columns']],
  ['an id used twice', [COLUMNS, good, good], ['row 3, id: "a" is already used in row 2']],
  [
    'an unknown column',
    [
      [...COLUMNS, 'colour'],
      [...good, 'red'],
    ],
    ['row 1, colour: is not a column of this format'],
  ],
  [
    'a column twice',
    [
      [...COLUMNS, 'price'],
      [...good, '9'],
    ],
    ['row 1, price: is there twice'],
  ],
  [
    'a nameless column',
    [
      [...COLUMNS, ''],
      [...good, '9'],
    ],
    ['row 1, column 33: has no name'],
  ],
  [
    'a needed column left out',
    [without('maxMass', COLUMNS), without('maxMass', good)],
    ['row 1, maxMass: is missing: every mount needs it', 'row 2, maxMass: is missing (takes a number)'],
  ],
];

describe('catalogue as a table', () => {
  it('reads numbers, words, flags and lists by the names of their columns', () => {
    const read = catalogueFromRows([COLUMNS, good]);
    expect(read.ok && read.value.mounts[0]).toMatchObject({
      id: 'a',
      maxMass: 30,
      depth: { folded: 55 },
      walls: { 'timber-stud': { maxBoard: 16, fixing: { kind: 'lag', count: 4 } }, masonry: {} },
      pattern: {
        only: [
          { width: 200, height: 200 },
          { width: 400, height: 400 },
        ],
      },
      plate: {
        open: [{ left: -60, right: 60, bottom: -40, top: 40 }],
        slots: [
          { x: -200, y: 40, length: 40, height: 8 },
          { x: 200, y: 40, length: 40, height: 8 },
        ],
      },
      patternAboveHook: [-60, -10],
      arm: { kind: 'links', links: [240, 230], limits: { shoulder: [-80, 80] } },
      bag: {
        screws: [
          { thread: 'M6', length: 12 },
          { thread: 'M8', length: 20 },
        ],
      },
      serviceStand: false,
    });
  });
  it.each(CELLS)('%s with "%s" names row, column and reason', (column, text, said) => {
    expect(faults(withCell(column, text))).toEqual([`row 2, ${said}`]);
  });
  it.each(TABLES)('%s', (_, rows, said) => {
    expect(faultsOf(rows)).toEqual(said);
  });
  it('lists the faults of all rows at once, each under its own row', () => {
    const rows = CELLS.map(([column, text], i) =>
      withCell(column, text).map((c, at) => (COLUMNS[at] === 'id' && c !== '' ? `m${i}` : c)),
    );
    expect(faults(...rows)).toEqual(CELLS.map(([, , said], i) => `row ${i + 2}, ${said}`));
    expect(CELLS.length + TABLES.length).toBeGreaterThanOrEqual(40);
  });
  it('lists every fault of one row, a wrong cell once', () => {
    const row = withCell('maxMass', 'heavy').map((c, i) =>
      COLUMNS[i] === 'price' ? '-1' : (COLUMNS[i] ?? '').startsWith('pattern.max') ? '' : c,
    );
    expect(faults(row)).toEqual([
      'row 2, maxMass: takes a number, not "heavy"',
      'row 2, pattern.max.width: is missing (takes a number)',
      'row 2, pattern.max.height: is missing (takes a number)',
      'row 2, price: must be at least 0, not -1',
    ]);
  });
  it('takes rows one by one and counts them', () => {
    const reader = catalogueReader();
    [COLUMNS, good, withCell('id', 'b')].forEach((cells) => reader.add(cells));
    expect(reader.count()).toBe(2);
    const read = reader.finish();
    expect(read.ok && read.value.mounts.map((m) => m.id)).toEqual(['a', 'b']);
  });
  it.each([
    ['id,name,type,maxMass', ','],
    ['\uFEFFid;name;type;maxMass\r\na,b;c,d,e,f,g;h', ';'],
    ['id\tname\ttype', '\t'],
    ['"id";"name";"a, b, c, d"', ';'],
    ['', ','],
  ])('%j is split by %j', (start, by) => expect(separatorOf(start)).toBe(by));
  it('leaves out a byte order mark before the first name', () => {
    expect(faultsOf([COLUMNS.map((c, i) => (i === 0 ? `\uFEFF${c}` : c)), good])).toEqual([]);
  });
  it('gives back the same mounts after a trip through a CSV reader that is not ours', () => {
    const { mounts } = demoCatalogue;
    const quoted = catalogueRows(mounts).map((r) => r.map((c) => `"${c.replaceAll('"', '""')}"`).join(','));
    const read = catalogueFromRows(parse(quoted.join('\r\n')));
    expect(read.ok && read.value.mounts).toEqual(mounts);
    // what is read row by row is a catalogue by the format's own schema
    expect(checkFile(catalogue, read.ok && read.value)).toMatchObject({ ok: true });
  });
  it('writes every field that a mount can have', () => {
    const read = catalogueFromRows([COLUMNS, good]);
    const [names = []] = read.ok ? catalogueRows(read.value.mounts) : [];
    expect([...names].sort()).toEqual([...COLUMNS].sort());
    expect(COLUMNS.filter((c) => !CATALOGUE_COLUMNS.includes(c))).toEqual([]);
  });
});

import { catalogueFromRows } from '../src';

const COLUMNS = [
  'id',
  'name',
  'type',
  'maxMass',
  'screenSize.min',
  'screenSize.max',
  'pattern.min.width',
  'pattern.min.height',
  'pattern.max.width',
  'pattern.max.height',
  'depth.folded',
  'walls.timber-stud.maxBoard',
  'plate.width',
  'plate.height',
  'plate.slots',
  'patternAboveHook',
];
const good = [
  'a',
  'Alpha',
  'tilt',
  '30',
  '800',
  '1400',
  '100',
  '100',
  '400',
  '400',
  '55',
  '16',
  '460',
  '220',
  '-200x40x40x8;200x40x40x8',
  '-60;-10',
];
const withCell = (column: string, text: string) =>
  good.map((c, i) => (COLUMNS[i] === column ? text : c));
const faults = (...rows: string[][]) => {
  const read = catalogueFromRows([COLUMNS, ...rows]);
  return read.ok ? [] : read.faults.map((f) => `${f.path}: ${f.reason}`);
};

describe('catalogue as a table', () => {
  it('reads numbers, words and lists by the names of their columns', () => {
    const read = catalogueFromRows([COLUMNS, good]);
    expect(read.ok && read.value.mounts[0]).toMatchObject({
      id: 'a',
      maxMass: 30,
      depth: { folded: 55 },
      walls: { 'timber-stud': { maxBoard: 16 } },
      plate: {
        slots: [
          { x: -200, y: 40, length: 40, height: 8 },
          { x: 200, y: 40, length: 40, height: 8 },
        ],
      },
      patternAboveHook: [-60, -10],
    });
  });
  it.each([
    ['maxMass', 'heavy', 'row 2, maxMass: takes a number, not "heavy"'],
    ['maxMass', '-3', 'row 2, maxMass: must be more than 0, not -3'],
    ['maxMass', '', 'row 2, maxMass: is missing (takes a number)'],
    ['plate.slots', '-200x40x40', 'row 2, plate.slots: "-200x40x40" has 3 parts and needs 4'],
    ['plate.slots', '1x2x3xz', 'row 2, plate.slots: takes a number, not "z"'],
    ['screenSize.max', '700', 'row 2, screenSize.max: is less than min'],
  ])('a fault in %s names row, column and reason', (column, text, fault) => {
    expect(faults(withCell(column, text))).toEqual([fault]);
  });
  it('lists every fault of every row, and takes nothing', () => {
    expect(faults(withCell('maxMass', 'x'), good, withCell('type', 'sideways'))).toHaveLength(2);
  });
  it('refuses two of the same id, cells too many, columns that are not known, an empty table', () => {
    expect(faults(good, good)).toEqual(['row 3, id: "a" is already used in row 2']);
    expect(faults([...good, 'more'])).toEqual(['row 2: has 17 cells for 16 columns']);
    const unknown = catalogueFromRows([
      [...COLUMNS, 'colour'],
      [...good, '5'],
    ]);
    expect(unknown.ok ? [] : unknown.faults).toEqual([
      { path: 'row 2, colour', reason: 'is not a field of this format' },
    ]);
    expect(catalogueFromRows([]).ok).toBe(false);
  });
});

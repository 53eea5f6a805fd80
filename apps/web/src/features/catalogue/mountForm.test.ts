import { type Mount, checkFile, mount as format } from '@steddo/contract';
import { demoCatalogue } from '@steddo/samples';
import { EMPTY, mountSchema, type MountField, type MountTyped } from './mountForm';
import { idFor, keepUntouched, typedOf } from './mountToForm';

const LABEL: MountTyped = {
  ...EMPTY,
  name: 'Trestle 7',
  type: 'tilt',
  maxMass: '55',
  sizeMin: '32',
  sizeMax: '55',
  patternMin: '100 x 100',
  patternMax: '400x300',
  folded: '2 1/4',
};
const read = (change: Partial<MountTyped>, units: 'imperial' | 'metric' = 'imperial') =>
  mountSchema(units, 'trestle-7', undefined).safeParse({ ...LABEL, ...change });
const faults = (change: Partial<MountTyped>) => {
  const result = read(change);
  return result.success ? {} : Object.fromEntries(result.error.issues.map((i) => [i.path.join('.'), i.message]));
};

describe('a mount from its label', () => {
  it('reads inches and pounds into mm and kg, patterns as mm', () => {
    const result = read({});
    // 1 in = 25.4 mm, 1 lb = 0.45359237 kg (exact, NIST SP 811)
    expect(result.data).toMatchObject({
      id: 'trestle-7',
      maxMass: expect.closeTo(55 * 0.45359237, 9) as number,
      screenSize: { min: 32 * 25.4, max: 55 * 25.4 },
      pattern: { min: { width: 100, height: 100 }, max: { width: 400, height: 300 } },
      depth: { folded: 57.15 },
      walls: { 'timber-stud': {} },
    });
    expect(checkFile(format, result.data).ok).toBe(true);
  });
  it('takes a number with its own unit in either form', () => {
    const metric = { sizeMin: '800', sizeMax: '1400', folded: '57', maxMass: '25' };
    expect(read({ ...metric, maxMass: '55 lb' }, 'metric').data!.maxMass).toBeCloseTo(55 * 0.45359237, 9);
    expect(read({ folded: '60 mm' }).data!.depth.folded).toBe(60);
  });
  it.each<[MountField, string, RegExp]>([
    ['name', '  ', /needs the name/],
    ['maxMass', 'heavy', /number|weight|takes/i],
    ['maxMass', '0', /./],
    ['sizeMin', 'abc', /./],
    ['patternMin', '200', /width x height in mm/],
    ['patternMax', '0 x 100', /width x height in mm/],
    ['folded', '-2', /./],
    ['tiltDown', '91', /./],
    ['studs', '1.5', /whole number/],
    ['rows', '40; high', /"high" is no length/],
    ['bagScrews', 'M6 x 12; wood', /M6 x 12; M8 x 25/],
    ['armHead', '-5', /./],
    ['sleeveTension', '2 kN', /./],
  ])('%s with "%s" is refused at its field', (field, text, message) => {
    expect(faults({ [field]: text })).toEqual({ [field]: expect.stringMatching(message) as string });
  });
  it.each<[Partial<MountTyped>, MountField[]]>([
    [{ sizeMax: '30' }, ['sizeMax']],
    [{ patternMax: '100 x 50' }, ['patternMax']],
    [{ extended: '1' }, ['extended']],
    [{ plateWidth: '10' }, ['plateHeight']],
    [{ plateWidth: '10', plateHeight: '8', rows: '40', columns: '0' }, ['slotLength', 'slotHeight']],
    [{ rows: '40', columns: '0', slotLength: '50', slotHeight: '9' }, ['plateWidth']],
    [{ lagDiameter: '8' }, ['lagLength', 'lagCount']],
    [{ sleeveTension: '2000' }, ['sleeveDiameter', 'sleeveLength', 'sleeveCount']],
    [{ type: 'full-motion', armHead: '60' }, ['armLinks']],
    [{ type: 'full-motion', armLinks: '1; 2; 3; 4; 5' }, ['armLinks']],
    [{ walls: [] }, ['walls']],
  ])('%j is refused at %j', (change, fields) => {
    expect(Object.keys(faults(change)).sort()).toEqual([...fields].sort());
  });
  it('makes a grid of slots of rows and columns, lowest row first', () => {
    const plate = {
      plateWidth: '18',
      plateHeight: '8',
      rows: '160; 40',
      columns: '-200; 200',
      slotLength: '60',
      slotHeight: '9',
    };
    expect(read(plate).data!.plate!.slots!.map((s) => [s.x, s.y])).toEqual([
      [-200, 40],
      [200, 40],
      [-200, 160],
      [200, 160],
    ]);
  });
});

describe('an arm, a bag and fixings from the label', () => {
  const typed = {
    type: 'full-motion',
    walls: ['timber-stud', 'masonry', 'metal-stud'],
    ...{ extended: '20 1/2', swivel: '60', armLinks: '250; 200', armHead: '60', armRoot: '-20', foldOffset: '127' },
    ...{ bagScrews: 'm6 x 12; M8x25.5', bagSpacers: '10; 5', bagWashers: '1.6', bracket: '2.5' },
    ...{ sleeveDiameter: '10', sleeveLength: '60', sleeveCount: '4', sleeveTension: '2000', sleeveShear: '3000' },
    ...{ tapperDiameter: '5.5', tapperLength: '25', tapperCount: '4' },
  } as const;
  const mount = read({ ...typed, walls: [...typed.walls] }).data!;
  it('links in their order from the wall out, and what the set hangs aside by', () => {
    expect(mount.arm).toEqual({ kind: 'links', links: [250, 200], head: 60, rootX: -20, foldOffset: 127 });
  });
  it('screws, spacers and washers', () => {
    expect(mount.bag).toEqual({
      bracket: 2.5,
      screws: [
        { thread: 'M6', length: 12 },
        { thread: 'M8', length: 25.5 },
      ],
      spacers: [5, 10],
      washers: [1.6],
    });
  });
  it('sleeves and self-tappers for the walls that it is made for, ratings as the leaflet has them', () => {
    expect(mount.walls).toEqual({
      'timber-stud': {},
      masonry: {
        fixing: { kind: 'masonry-sleeve', diameter: 10, length: 60, count: 4, tension: 2000, shear: 3000 },
      },
      'metal-stud': { fixing: { kind: 'self-tapping', diameter: 5.5, length: 25, count: 4 } },
    });
    expect(checkFile(format, mount).ok).toBe(true);
  });
  it('how it hangs: its joint, latch, rise, levelling and keys', () => {
    const hung = read({
      joint: 'catch',
      latch: 'screw',
      rise: '30',
      hook: '180 mm',
      hookSpacing: '400',
      trimHeight: '8',
      trimPitch: '1.25',
      trimSpan: '300',
      tools: 'socket 13; key 5',
    }).data!;
    expect(hung).toMatchObject({
      joint: 'catch',
      latch: 'screw',
      rise: 30,
      hook: { above: 180, spacing: 400 },
      trim: { height: 8, pitch: 1.25, screwSpan: 300 },
      tools: ['socket 13', 'key 5'],
    });
    expect(checkFile(format, hung).ok).toBe(true);
    expect(typedOf(hung, 'metric')).toMatchObject({ joint: 'catch', tools: 'socket 13; key 5', trimPitch: '1.25' });
  });
  it('is typed back as it was', () => {
    const again = typedOf(mount, 'imperial');
    expect(mountSchema('imperial', mount.id, undefined).parse(again)).toEqual(mount);
  });
  it('what a type cannot have is not kept of it', () => {
    expect(read({ ...typed, walls: ['masonry'], type: 'tilt' }).data!.arm).toBeUndefined();
  });
});

describe('a mount that is edited', () => {
  const edit = (before: Mount, change: Partial<MountTyped>, units: 'imperial' | 'metric') => {
    const typed = { ...typedOf(before, units), ...change };
    const result = mountSchema(units, before.id, before).safeParse(typed);
    if (!result.success) throw new Error(`${before.id}: ${result.error.message}`);
    return keepUntouched(result.data, before, (f) => f in change);
  };
  it.each(['imperial', 'metric'] as const)('changes its price alone, whatever tape it is shown on (%s)', (units) => {
    for (const before of demoCatalogue.mounts)
      expect(edit(before, { price: '7' }, units)).toEqual({ ...before, price: 7 });
  });
  it('takes a changed plate, and keeps what the form does not show', () => {
    const before = demoCatalogue.mounts.find((m) => m.id === 'louvre-2')!;
    const after = edit(before, { slotHeight: '12' }, 'metric');
    expect(new Set(after.plate!.slots!.map((s) => s.height))).toEqual(new Set([12]));
    expect(after.plate!.open).toEqual(before.plate!.open);
    expect(after.trim).toEqual(before.trim);
  });
  it('gets an id from its name that nobody has', () => {
    expect(idFor('Own arm 2', () => false)).toBe('own-arm-2');
    expect(idFor('Own arm', (id) => id === 'own-arm' || id === 'own-arm-2')).toBe('own-arm-3');
    expect(idFor('???', () => false)).toBe('mount');
  });
});

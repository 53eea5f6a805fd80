import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { checkFile, job, mount } from '../src';
import { jsonSchemas } from '../src/jsonSchemas';

const minimal = () => ({
  format: 'steddo-job',
  version: 1,
  title: 'x',
  units: 'metric',
  screen: { diagonal: 1000, mass: 9, pattern: { width: 200, height: 200 } },
  room: { wall: { width: 3000, height: 2400, build: { kind: 'unknown' } } },
  aim: { height: 'eyes', centre: { on: 'wall' } },
});
type Loose = Record<string, unknown>;
const faults = (value: unknown) => {
  const checked = checkFile(job, value);
  return checked.ok ? [] : checked.faults.map((f) => `${f.path}: ${f.reason}`);
};

describe('job file', () => {
  it('takes what is required and nothing more', () => {
    expect(faults(minimal())).toEqual([]);
  });
  it.each(['format', 'version', 'title', 'units', 'screen', 'room', 'aim'])('needs %s', (field) => {
    const { [field]: _, ...rest } = minimal() as Loose;
    expect(faults(rest).filter((f) => f.startsWith(`${field}: is missing`))).toHaveLength(1);
  });
  it('lists every fault, each with its path', () => {
    const bad = {
      ...minimal(),
      title: ' ',
      units: 'feet',
      colour: 'red',
      screen: { diagonal: -1, mass: 'heavy', pattern: { width: 200 } },
      choices: { centreY: null },
    };
    expect(faults(bad)).toEqual(
      expect.arrayContaining([
        'title: needs a title',
        'units: takes "imperial", "metric", not "feet"',
        'colour: is not a field of this format',
        'screen.diagonal: must be more than 0, not -1',
        'screen.mass: takes a number, not "heavy"',
        'screen.pattern.height: is missing (takes a number)',
        'choices.centreY: takes a number, not null (leave the field out instead)',
      ]),
    );
  });
  it('names the path of an unknown field deep inside a list', () => {
    const bad = { ...minimal(), evidence: [{ id: 'e1', kind: 'centre', x: 1, y: 2, sure: true }] };
    expect(faults(bad)).toEqual(['evidence.0.sure: is not a field of this format']);
  });
  it('refuses two of the same id and says where the first is', () => {
    const e = { id: 'a', kind: 'centre', x: 1, y: 2 };
    expect(faults({ ...minimal(), evidence: [e, e] })).toEqual(['evidence.1.id: "a" is already used at evidence.0']);
  });
  it('refuses boxes that are inside out', () => {
    const room = {
      ...minimal().room,
      objects: [{ id: 'o', kind: 'outlet', left: 5, right: 5, bottom: 9, top: 3 }],
    };
    expect(faults({ ...minimal(), room })).toEqual([
      'room.objects.0.right: must be right of left',
      'room.objects.0.top: must be above bottom',
    ]);
  });
  it('refuses numbers that are none', () => {
    for (const width of [NaN, Infinity, -Infinity])
      expect(faults({ ...minimal(), screen: { ...minimal().screen, width } })).toHaveLength(1);
  });
  it('needs of a level reading what its instrument gives', () => {
    const levelReadings = [{ instrument: 'digital' }, { instrument: 'spirit', length: 600, gap: 2 }];
    expect(faults({ ...minimal(), levelReadings })).toEqual([
      'levelReadings.0.angle: is needed for a digital level',
      'levelReadings.1.high: is needed for a spirit level',
    ]);
  });
  it('takes times as ISO 8601 only', () => {
    const look = (at: string) => ({
      ...minimal(),
      looks: [{ id: 'k', x: 1, y: 1, found: 'clear', at }],
    });
    expect(faults(look('2026-03-14T09:30:00Z'))).toEqual([]);
    expect(faults(look('2026-03-14'))).toEqual([]);
    expect(faults(look('last week'))).toHaveLength(1);
  });
  it('says what a file that is no object should be', () => {
    expect(faults([])).toEqual(['(file): takes an object, not []']);
    let deep: unknown = [];
    for (let i = 0; i < 20_000; i++) deep = [deep];
    expect(faults(deep)).toEqual(['0.0.0.0.0.0.0.0.…: is nested deeper than 64']);
    expect(faults('x')).toHaveLength(1);
  });
  it('takes a pattern above hook as one number or a list', () => {
    const base = {
      id: 'm',
      name: 'm',
      type: 'fixed',
      maxMass: 9,
      screenSize: { min: 1, max: 2 },
      pattern: { min: { width: 1, height: 1 }, max: { width: 2, height: 2 } },
      walls: {},
      depth: { folded: 9 },
    };
    for (const patternAboveHook of [5, [5, 6]]) expect(checkFile(mount, { ...base, patternAboveHook }).ok).toBe(true);
    const bad = checkFile(mount, { ...base, patternAboveHook: [] });
    expect(bad.ok).toBe(false);
  });
});

describe('JSON Schemas in docs/', () => {
  it.each(Object.entries(jsonSchemas()))('%s is the one that the contract gives', (name, schema) => {
    const file = readFileSync(join(import.meta.dirname, '../../../docs/schemas', name), 'utf8');
    expect(JSON.parse(file)).toEqual(JSON.parse(JSON.stringify(schema)));
  });
});

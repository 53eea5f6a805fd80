import { isComfortable, plan } from '../src';
import { testJob } from './jobs';

const angles = (viewer: object, aim = {}) => {
  const base = testJob();
  const job = testJob({
    room: {
      ...base.room,
      objects: [],
      viewers: [{ id: 'v1', eye: 1100, distance: 2700, ...viewer }],
    },
    choices: { centreY: 1400 },
    aim: { ...base.aim, ...aim },
  });
  return plan(job);
};
const first = (p: ReturnType<typeof plan>) => p.heights!.find((h) => h.school === 'eyes')!.angles[0]!;

describe('angles', () => {
  // elevation = atan(rise / run); the set's face stands 60 + 60 mm out
  it('look up by the rise over the run to the face', () => {
    const p = angles({ eye: 800 }, { schools: { eyes: { settled: [1400] } } });
    expect(first(p).centre).toBeCloseTo((Math.atan(600 / 2580) * 180) / Math.PI, 9);
    expect(first(p).top).toBeCloseTo((Math.atan(920 / 2580) * 180) / Math.PI, 9);
  });
  it('take the way across into account', () => {
    const p = angles({ eye: 800, x: 3000 }, { schools: { eyes: { settled: [1400] } } });
    expect(first(p).centre).toBeCloseTo((Math.atan(600 / Math.hypot(2580, 1000)) * 180) / Math.PI, 9);
  });
  it('count from the resting gaze, which rises by a share of the recline', () => {
    const p = angles({ recline: 20 });
    expect(first(p).fromRest).toBeCloseTo(first(p).centre - 6, 9);
  });
  it('are a caution beyond 15 degrees of rest, and for a viewer in the set a stop', () => {
    const codes = (viewer: object) => angles(viewer).findings.map((f) => f.code);
    const distanceFor = (deg: number) => 120 + 300 / Math.tan((deg * Math.PI) / 180);
    expect(codes({ distance: distanceFor(14.9) })).not.toContain('centre-off-rest');
    expect(codes({ distance: distanceFor(15.1) })).toContain('centre-off-rest');
    expect(codes({ distance: 110 })).toContain('viewer-inside-set');
  });
  it('15 degrees to either side of rest are comfortable, for everybody', () => {
    const at = (...degrees: number[]) =>
      degrees.map((fromRest) => ({ viewer: 'v', centre: 0, top: 0, bottom: 0, fromRest }));
    expect([isComfortable(at(15, -15)), isComfortable(at(0, 15.1)), isComfortable(at(-16))]).toEqual([
      true,
      false,
      false,
    ]);
  });

  it('give the tilt as the weighted mean', () => {
    const base = testJob();
    const room = {
      ...base.room,
      objects: [],
      viewers: [
        { id: 'a', eye: 1100, distance: 2700, weight: 3 },
        { id: 'b', eye: 1500, distance: 2700 },
      ],
    };
    const h = plan(testJob({ room })).heights!.find((x) => x.school === 'eyes')!;
    expect(h.tiltNeeded).toBeCloseTo((3 * h.angles[0]!.centre + h.angles[1]!.centre) / 4, 9);
  });
});

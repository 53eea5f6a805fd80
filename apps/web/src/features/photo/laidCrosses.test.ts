import { checkFile, job as jobSchema, type Photo, type PhotoPlane } from '@steddo/contract';
import { landingStudy } from '@steddo/samples';
import { anotherReference, crossesOf, planeBegun, resolved, withTap, withTaped, withoutSecond } from './laidCrosses';

const SIZE = { width: 1600, height: 1200 };
const photo: Photo = { id: 'p1', of: 'room' };
const { width, height } = landingStudy.room.wall;
/** Seen straight on, 0.4 px to a millimetre, the wall's lower left corner at (100, 1100). */
const at = (x: number, y: number) => ({
  u: (100 + 0.4 * x) / SIZE.width,
  v: (1100 - 0.4 * y) / SIZE.height,
  sharp: true,
});
const laidOn = (plane: PhotoPlane, part: 'first' | 'second', corners: readonly (readonly [number, number])[]) =>
  corners.reduce((p, [x, y], i) => withTap(p, part, i, at(x, y)), plane);
const box = (left: number, bottom: number, w: number, h: number) =>
  [
    [left, bottom + h],
    [left + w, bottom + h],
    [left + w, bottom],
    [left, bottom],
  ] as const;
const isValid = (plane: PhotoPlane) =>
  expect(checkFile(jobSchema, { ...landingStudy, photos: [{ ...photo, plane }] })).toMatchObject({ ok: true });

describe('what is laid onto a picture', () => {
  it('begins with the wall’s corners, none of them laid, and is kept from the first cross on', () => {
    const begun = planeBegun(photo);
    expect(crossesOf(begun, 'first', [], SIZE).map((c) => [c.name, c.laid])).toEqual([
      ['upper left corner', false],
      ['upper right corner', false],
      ['lower right corner', false],
      ['lower left corner', false],
    ]);
    const one = resolved(landingStudy, withTap(begun, 'first', 2, at(width, 0)), SIZE);
    expect(one.points).toEqual([]);
    expect(one.references![0]!.taps[2]).toEqual(at(width, 0));
    isValid(one);
    expect(crossesOf(one, 'first', [], SIZE)[2]).toMatchObject({ laid: true, at: { u: 100 + 0.4 * width, v: 1100 } });
  });

  it('with all four has the places that came of them', () => {
    const whole = resolved(landingStudy, laidOn(planeBegun(photo), 'first', box(0, 0, width, height)), SIZE);
    expect(whole.points.map((p) => [p.x, p.y])).toEqual(box(0, 0, width, height));
    expect(Math.abs(whole.k1!)).toBeLessThan(0.01);
    isValid(whole);
  });

  it('of a sheet is placed by the tape, or by the floor and an end of the wall', () => {
    const sheet = laidOn(anotherReference(planeBegun(photo), 0, { what: 'a4' }), 'first', box(400, 900, 210, 297));
    expect(resolved(landingStudy, sheet, SIZE).points).toEqual([]);
    const taped = withTaped(withTaped(sheet, 0, 'left', 400), 0, 'bottom', 900);
    const lowerLeft = (plane: PhotoPlane) => resolved(landingStudy, plane, SIZE).points[3]!;
    expect(Math.hypot(lowerLeft(taped).x - 400, lowerLeft(taped).y - 900)).toBeLessThan(1);
    const tied = withTap(withTap(sheet, 'tie', 0, at(900, 0)), 'tie', 1, at(width, 1200));
    const right: PhotoPlane = { ...tied, end: { ...tied.end!, side: 'right' } };
    expect(Math.hypot(lowerLeft(right).x - 400, lowerLeft(right).y - 900)).toBeLessThan(2);
    // by the other end the sheet would be a wall's width further left
    expect(lowerLeft(tied).x).toBeCloseTo(lowerLeft(right).x - width, -1);
    isValid(resolved(landingStudy, right, SIZE));
  });

  it('loses what was taped between the sheets with the second one, and the corners with another thing', () => {
    const two = { ...anotherReference(planeBegun(photo), 1, { what: 'letter' }), apart: 1900, level: 0 };
    expect(withoutSecond(two)).toEqual(planeBegun(photo));
    const whole = laidOn(planeBegun(photo), 'first', box(0, 0, width, height));
    expect(anotherReference(whole, 0, { what: 'a4' }).references![0]!.taps).toEqual([null, null, null, null]);
  });

  it('by another maker, places and no references, is taken as it is', () => {
    const points = box(0, 0, width, height).map(([x, y]) => ({ u: at(x, y).u, v: at(x, y).v, x, y }));
    const plane = planeBegun({ ...photo, plane: { points, k1: -0.01 } });
    expect(resolved(landingStudy, plane, SIZE)).toEqual({ points, k1: -0.01 });
  });
});

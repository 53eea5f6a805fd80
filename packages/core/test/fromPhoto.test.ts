import { checkFile, job as jobSchema, type Job } from '@steddo/contract';
import { applyCommand, measure, moveBox, plan, type Command } from '@steddo/core';
import { measureThing, putFromPhoto, wallPlane, cameraBefore, type MeasuredBox, type Tap } from '@steddo/core/photo';
import { guestRoom, landingStudy } from '@steddo/samples';
import { cornersOf, shoot, type Lens } from './ownCamera';

/* A thing that a picture has measured is in the room with its doubt, until a tape says otherwise. */

const DOUBTS = { left: 6, right: 7, bottom: 5, top: 5, width: 4, height: 4 };
const box: MeasuredBox = { left: 1240.3, right: 1326.8, bottom: 300.2, top: 386.4, doubt: DOUBTS };
const done = (job: Job, command: Command): Job => {
  const next = applyCommand(job, command).job;
  const checked = checkFile(jobSchema, next);
  if (!checked.ok) throw new Error(JSON.stringify(checked.faults));
  return checked.value;
};
const traced = () => {
  const { command, id } = putFromPhoto(landingStudy, { kind: 'outlet', photo: 'p1', box });
  return { job: done(landingStudy, command), id };
};
const thing = (job: Job, id: string) => job.room.objects!.find((o) => o.id === id)!;

describe('a thing from the photo', () => {
  it('stands in the room no more finely than it is known, with its doubt, its picture and its edges as guesses', () => {
    const { job, id } = traced();
    // half of 7 is 3.5: to two millimetres, and the rounding is in the doubt
    expect(thing(job, id)).toEqual({
      id,
      kind: 'outlet',
      left: 1240,
      right: 1326,
      bottom: 300,
      top: 386,
      doubt: 8,
      photo: 'p1',
    });
    expect(job.guessed).toEqual(['left', 'right', 'bottom', 'top'].map((s) => `room.objects.${id}.${s}`));
  });

  it('is the tape’s once each of its edges was taped, and not before', () => {
    const { job, id } = traced();
    const sides = ['left', 'bottom', 'top'] as const;
    const three = sides.reduce((j, s) => done(j, measure(j, `room.objects.${id}.${s}`, thing(j, id)[s] + 1)), job);
    expect(thing(three, id)).toMatchObject({ photo: 'p1', doubt: 8 });
    const all = done(three, measure(three, `room.objects.${id}.right`, 1330));
    expect(thing(all, id)).toEqual({ id, kind: 'outlet', left: 1241, right: 1330, bottom: 301, top: 387 });
    expect(all.guessed ?? []).toEqual([]);
  });

  it('of a file that lists no guesses is the tape’s once each of its edges was taped, too', () => {
    const { job, id } = traced();
    const { guessed: _, ...file } = job;
    const one = done(file, measure(file, `room.objects.${id}.left`, 1242));
    expect(thing(one, id)).toMatchObject({ left: 1242, photo: 'p1', doubt: 8 });
    const all = (['right', 'bottom', 'top'] as const).reduce(
      (j, s) => done(j, measure(j, `room.objects.${id}.${s}`, thing(j, id)[s])),
      one,
    );
    expect(thing(all, id).photo).toBeUndefined();
    expect(thing(all, id).doubt).toBeUndefined();
  });

  it('stays doubted where a thumb has moved it: a thumb is no tape', () => {
    const { job, id } = traced();
    const moved = done(job, moveBox(job, `room.objects.${id}`, { left: 1300, right: 1386, bottom: 300, top: 386 }));
    expect(thing(moved, id)).toMatchObject({ left: 1300, photo: 'p1', doubt: 8 });
    expect(moved.guessed).toEqual(job.guessed);
  });
});

describe('a hole by a thing that is known by a picture alone', () => {
  const hole = plan(guestRoom).holes![0]!;
  /** An outlet of which the nearer edge is so far to the right of the hole. */
  const beside = (gap: number, doubt?: number): Job => ({
    ...guestRoom,
    room: {
      ...guestRoom.room,
      objects: [
        ...(guestRoom.room.objects ?? []),
        {
          id: 'seen',
          kind: 'outlet',
          left: hole.x + gap,
          right: hole.x + gap + 60,
          bottom: hole.y - 30,
          top: hole.y + 30,
          plateMayCover: true,
          ...(doubt === undefined ? {} : { doubt, photo: 'p1' }),
        },
      ],
    },
  });
  const asks = (job: Job) => plan(job).findings.filter((f) => f.code === 'tape-it-first');

  it('asks for the tape where it may be in it, and not where it cannot', () => {
    const r = hole.fixing.diameter / 2;
    expect(asks(beside(r + 8, 9)).map((f) => f.values)).toEqual([
      // no hole goes where it may be: the plate that is over it is what asks
      { object: 'seen', holes: [], plate: true, set: false, doubtMm: 9 },
    ]);
    expect(asks(beside(900, 9))).toEqual([]);
    // measured by a tape it is where it is
    expect(asks(beside(r + 8))).toEqual([]);
  });

  it('has the zones of its cables as much wider as it may be out', () => {
    const zone = (job: Job) => plan(job).hazards!.zones.find((z) => z.id === 'seen:up')!;
    const [sure, doubted] = [zone(beside(200)), zone(beside(200, 30))];
    expect(sure.left - doubted.left).toBeCloseTo(30, 9);
    expect(doubted.right - sure.right).toBeCloseTo(30, 9);
  });
});

describe('a thing that stands out, of which nobody has said how far', () => {
  const lens: Lens = {
    picture: { width: 1600, height: 1200 },
    focal: 1500,
    at: { x: 400, y: 1500, z: 4200 },
    yaw: 15,
    pitch: 0,
    roll: 0,
    k1: 0,
  };
  const wall = { width: 3200, height: 2400 };
  const made = wallPlane({
    picture: lens.picture,
    references: [],
    known: cornersOf(0, 0, wall).map((c) => ({ ...c, ...shoot(lens, c.x, c.y), sd: 1 })),
  });
  if (!made.ok) throw new Error(made.why);
  const found = cameraBefore(made.plane, lens.picture);
  if (!found.ok) throw new Error(found.why);
  const seen = { plane: made.plane, camera: found.camera, picture: lens.picture };
  const cabinet = { left: 1800, right: 2500, bottom: 100, top: 800 };
  const taps = [
    [cabinet.left, cabinet.top],
    [cabinet.right, cabinet.bottom],
  ].map(([x, y]) => ({ ...shoot(lens, x!, y!, 330), sd: 1 })) as [Tap, Tap];

  it('is doubted by what its usual depth would make of it; with its depth it is where it is', () => {
    const flat = measureThing(seen, taps, 'cabinet', undefined)!;
    expect(flat.flatOff!).toBeGreaterThan(100);
    expect(flat.box.doubt.right).toBeGreaterThan(flat.flatOff!);
    expect(Math.abs(flat.box.right - cabinet.right)).toBeLessThan(flat.box.doubt.right);
    const known = measureThing(seen, taps, 'cabinet', 330)!;
    expect(known.flatOff).toBeUndefined();
    for (const side of ['left', 'right', 'bottom', 'top'] as const)
      expect(Math.abs(known.box[side] - cabinet[side])).toBeLessThan(known.box.doubt[side]);
    expect(known.box.doubt.right).toBeLessThan(flat.box.doubt.right / 3);
  });

  it('of a kind that lies flat it is not asked', () => {
    expect(measureThing(seen, taps, 'window', undefined)!.flatOff).toBeUndefined();
  });
});

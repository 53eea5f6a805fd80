import type { Evidence, Job, Mount } from '@steddo/contract';
import { demoCatalogue, sewingCorner } from '@steddo/samples';
import fc from 'fast-check';
import {
  armReach,
  carryOf,
  cornerPlace,
  evaluate,
  facingJob,
  feetOf,
  footOf,
  headOf,
  outlineOf,
  plan,
  rankMounts,
  sideWallJob,
  standOffOf,
  toleranceOfJob,
  withKit,
  type CornerSet,
} from '../src';
import { touchAlong } from '../src/corner/cornerFeet';
import { cornerOfSet, onSet, toWall } from '../src/corner/cornerGeometry';
import { leaf, leaves } from '../src/primitives/working';
import { testJob } from './jobs';

/*
 * A set in a corner. Check values by hand from the geometry of a right triangle; everything else against vectors and
 * circles worked out here from scratch: the two walls as lines, the set as a dense row of points.
 */

const SET: CornerSet = { halfBack: 478.5, halfFront: 478.5, thickness: 55, offset: 0, turn: 0 };
const rad = (deg: number) => (deg * Math.PI) / 180;

describe('where a set stands in a corner', () => {
  it('half its width from a square one, 338.35 from either wall; 28.28 more with 20 of gap; nearer in a wide one', () => {
    expect(standOffOf(90, SET, 0).standOff).toBeCloseTo(478.5, 9);
    expect(478.5 * Math.sin(rad(45))).toBeCloseTo(338.35, 2);
    expect(standOffOf(90, SET, 20).standOff).toBeCloseTo(506.78, 2);
    expect(standOffOf(100, SET, 0).standOff).toBeCloseTo(401.51, 2);
  });

  it('a back that is slimmer goes deeper, until the front comes to the walls', () => {
    const back = standOffOf(90, { ...SET, halfBack: 448.5 }, 0);
    expect([back.standOff.toFixed(6), back.corner]).toEqual(['448.500000', 'back-left']);
    // 60 slimmer and 55 thick: the front's edge is 5 further in than the back's would be
    const front = standOffOf(90, { ...SET, halfBack: 418.5 }, 0);
    expect(front.corner).toMatch(/^front/);
    expect(front.standOff).toBeCloseTo(478.5 - 55, 9);
  });

  it('keeps exactly its gap from both walls, whatever the angle, the turn and the offset: against points all over its outline', () => {
    fc.assert(
      fc.property(
        fc.record({
          angle: fc.double({ min: 55, max: 150, noNaN: true }),
          halfFront: fc.double({ min: 200, max: 900, noNaN: true }),
          slim: fc.double({ min: 0, max: 80, noNaN: true }),
          thickness: fc.double({ min: 20, max: 120, noNaN: true }),
          offset: fc.double({ min: -80, max: 80, noNaN: true }),
          turn: fc.double({ min: -20, max: 20, noNaN: true }),
          gap: fc.double({ min: 0, max: 60, noNaN: true }),
        }),
        ({ angle, halfFront, slim, thickness, offset, turn, gap }) => {
          const set = { halfBack: halfFront - slim, halfFront, thickness, offset, turn };
          const { standOff } = standOffOf(angle, set, gap);
          // the walls as lines through the origin in a plan of our own: y into the room
          const half = rad(angle / 2);
          const walls = [
            { dx: Math.sin(half), dy: Math.cos(half), nx: -Math.cos(half), ny: Math.sin(half) },
            { dx: -Math.sin(half), dy: Math.cos(half), nx: Math.cos(half), ny: Math.sin(half) },
          ];
          const [c, s] = [Math.cos(rad(turn)), Math.sin(rad(turn))];
          const points: [number, number][] = [];
          for (let i = 0; i <= 40; i += 1) {
            const along = i / 20 - 1;
            for (const z of [0, thickness]) points.push([along * (z === 0 ? set.halfBack : halfFront), z]);
            const side = set.halfBack + (i / 40) * slim;
            points.push([side, (i / 40) * thickness], [-side, (i / 40) * thickness]);
          }
          const least = Math.min(
            ...walls.flatMap((w) =>
              points.map(([along, out]) => {
                // along the set and out of its face, the set turned to the right as one looks into the corner: right is +x, out +y
                const x = offset + along * c + out * s;
                const y = standOff - along * s + out * c;
                return x * w.nx + y * w.ny;
              }),
            ),
          );
          expect(least).toBeCloseTo(gap, 6);
        },
      ),
      { numRuns: 300 },
    );
  });

  it('has the same sums in its workings', () => {
    fc.assert(
      fc.property(
        fc.record({
          cornerAngle: fc.double({ min: 60, max: 140, noNaN: true }),
          cornerTurn: fc.double({ min: -15, max: 15, noNaN: true }),
          cornerGap: fc.double({ min: 0, max: 80, noNaN: true }),
          right: fc.double({ min: -60, max: 60, noNaN: true }),
          corner: fc.constantFrom('left' as const, 'right' as const),
          // with a back much slimmer than its front the front comes to the walls first
          slimmer: fc.double({ min: 0, max: 150, noNaN: true }),
        }),
        ({ cornerAngle, cornerTurn, cornerGap, right, corner, slimmer }) => {
          const job: Job = {
            ...sewingCorner,
            screen: { ...sewingCorner.screen, slimmer, patternCentre: { right, up: 0 } },
            room: { ...sewingCorner.room, cornerAngle, corner },
            choices: { cornerTurn, cornerGap },
          };
          const { width } = outlineOf(job.screen, []);
          const place = cornerPlace(job, width);
          expect(place.standOff.value).toBeCloseTo(place.touch.standOff, 6);
          expect(evaluate(place.front)).toBeCloseTo(place.front.value, 9);
          // where it touches, by the vectors of the set's own corner
          const { wall, corner: at } = place.touch;
          const there = toWall(cornerAngle, wall, onSet(place.set, place.standOff.value, cornerOfSet(place.set, at)));
          expect(touchAlong(job, place).value).toBeCloseTo(there.along, 6);
          expect(there.out).toBeCloseTo(cornerGap, 6);
        },
      ),
      { numRuns: 200 },
    );
  });
});

describe('the feet of a rack', () => {
  it('707 or 292.5 from the corner for a bracket of 400, links of 300 and a gap of 20', () => {
    const d = standOffOf(90, SET, 20).standOff;
    const pivot = { along: (d + 200) / Math.SQRT2, out: (d - 200) / Math.SQRT2 };
    const foot = footOf(pivot, 300)!;
    expect(foot.outer).toBeCloseTo(707, 1);
    expect(foot.inner).toBeCloseTo(292.5, 1);
    expect(footOf({ ...pivot, out: 301 }, 300)).toBeUndefined();
    expect(footOf({ ...pivot, out: -1 }, 300)).toBeUndefined();
  });

  it('are each a link’s length from their own pivot, on their own wall, in any corner: against circles', () => {
    fc.assert(
      fc.property(
        fc.record({
          cornerAngle: fc.double({ min: 75, max: 120, noNaN: true }),
          cornerTurn: fc.double({ min: -8, max: 8, noNaN: true }),
          cornerGap: fc.double({ min: 0, max: 60, noNaN: true }),
          right: fc.double({ min: -40, max: 40, noNaN: true }),
          head: fc.double({ min: 0, max: 40, noNaN: true }),
          corner: fc.constantFrom('left' as const, 'right' as const),
        }),
        ({ cornerAngle, cornerTurn, cornerGap, right, head, corner }) => {
          const span = 300;
          const link = 600;
          const job: Job = {
            ...sewingCorner,
            mount: { ...sewingCorner.mount!, corner: { span, link }, arm: { kind: 'links', head } },
            screen: { ...sewingCorner.screen, patternCentre: { right, up: 0 } },
            room: { ...sewingCorner.room, cornerAngle, corner },
            choices: { cornerTurn, cornerGap },
          };
          const { width } = outlineOf(job.screen, []);
          const place = cornerPlace(job, width);
          const feet = feetOf(job, place, { span, link }, headOf(job.mount!, undefined));
          // a plan of our own: x to the right of whoever looks into the corner, y into the room
          const [c, s] = [Math.cos(rad(cornerTurn)), Math.sin(rad(cornerTurn))];
          const at = (along: number, out: number): [number, number] => [
            place.set.offset + along * c + out * s,
            place.standOff.value - along * s + out * c,
          ];
          for (const f of feet) {
            const sign = f.wall === 'right' ? 1 : -1;
            const [px, py] = at(right + (sign * span) / 2, -head);
            const half = rad(cornerAngle / 2);
            for (const x of [f.outer!, f.inner!]) {
              const [fx, fy] = [sign * x.value * Math.sin(half), x.value * Math.cos(half)];
              expect(Math.hypot(px - fx, py - fy)).toBeCloseTo(link, 6);
              expect(evaluate(x)).toBeCloseTo(x.value, 9);
            }
          }
        },
      ),
      { numRuns: 200 },
    );
  });

  it('stand equally far out where the set is not turned and hangs in its middle', () => {
    const p = plan(withKit(sewingCorner, demoCatalogue));
    const [a, b] = p.corner!.feet!;
    expect(a!.x).toBeCloseTo(b!.x, 9);
    const turned = plan(withKit({ ...sewingCorner, choices: { cornerTurn: 4 } }, demoCatalogue));
    expect(Math.abs(turned.corner!.feet![0]!.x - turned.corner!.feet![1]!.x)).toBeGreaterThan(1);
  });

  it('carry what they must between them: forces and moments about the corner balance, whether the plates turn or not', () => {
    fc.assert(
      fc.property(
        fc.record({
          cornerAngle: fc.double({ min: 75, max: 120, noNaN: true }),
          cornerGap: fc.double({ min: 0, max: 60, noNaN: true }),
          stance: fc.constantFrom('outer' as const, 'inner' as const),
        }),
        ({ cornerAngle, cornerGap, stance }) => {
          const corner = { span: 300, link: 600 };
          const job: Job = {
            ...sewingCorner,
            mount: { ...sewingCorner.mount!, corner },
            room: { ...sewingCorner.room, cornerAngle },
            choices: { cornerGap },
          };
          const { width } = outlineOf(job.screen, []);
          const place = cornerPlace(job, width);
          const feet = feetOf(job, place, corner, headOf(job.mount!, undefined));
          const half = rad(cornerAngle / 2);
          // weight 1 down at the set's middle; moments about the corner as (about x, about y)
          const middle = [0, place.standOff.value + place.set.thickness / 2] as const;
          const whole = [-middle[1], middle[0]] as const;
          const sums = { fixed: [0, 0], free: [0, 0] };
          let shares = 0;
          for (const f of feet) {
            const sign = f.wall === 'right' ? 1 : -1;
            const x = f[stance]!;
            const carry = carryOf(job, place, { wall: f.wall, x, pivots: { own: sign * 150, other: -sign * 150 } });
            shares += carry.share;
            const t = [sign * Math.sin(half), Math.cos(half)] as const;
            const n = [-sign * Math.cos(half), Math.sin(half)] as const;
            const foot = [t[0] * x.value, t[1] * x.value] as const;
            // r x (0, 0, -1) = (-ry, rx): of a force at the foot, and of the couple as a force moved off it
            const add = (to: number[], rx: number, ry: number) => {
              to[0]! += -ry * carry.share;
              to[1]! += rx * carry.share;
            };
            for (const key of ['fixed', 'free'] as const) add(sums[key], foot[0], foot[1]);
            const beside = carry.along - x.value;
            add(sums.fixed, t[0] * beside + n[0] * carry.out.value, t[1] * beside + n[1] * carry.out.value);
            add(sums.free, n[0] * carry.freeOut.value, n[1] * carry.freeOut.value);
          }
          expect(shares).toBeCloseTo(1, 9);
          for (const key of ['fixed', 'free'] as const) {
            expect(sums[key][0]).toBeCloseTo(whole[0], 6);
            expect(sums[key][1]).toBeCloseTo(whole[1], 6);
          }
        },
      ),
      { numRuns: 100 },
    );
  });
});

describe('one plate with an arm', () => {
  it('reaches 363.05 from 500 along with a gap of 20, 310.86 from 400 without', () => {
    const reach = (standOff: number, from: number) => {
      const a = (standOff - 60) / Math.SQRT2;
      const pivot = { along: leaf('pivot-along', a, 'mm'), out: leaf('pivot-out', a, 'mm') };
      return armReach({ pivot, root: 3 }, leaf('plate-from-corner', from, 'mm')).value;
    };
    expect(reach(standOffOf(90, SET, 20).standOff, 500)).toBeCloseTo(363.05, 2);
    expect(reach(standOffOf(90, SET, 0).standOff, 400)).toBeCloseTo(310.86, 2);
  });

  it('stands over a sure stud from where its links reach the pivot; never nearer or further', () => {
    for (const mount of demoCatalogue.mounts.filter((m) => m.type === 'full-motion' && m.arm?.links?.length === 2)) {
      const p = plan(withKit({ ...sewingCorner, mount }, demoCatalogue));
      const { reach } = p.corner!;
      if (!reach || !p.holes) continue;
      expect(reach.needed).toBeLessThanOrEqual(reach.most + 1e-6);
      expect(reach.needed).toBeGreaterThanOrEqual(reach.least - 1e-6);
      expect(p.holes.every((h) => h.wall === 'main')).toBe(true);
    }
  });
});

const reflected = (job: Job): Job => {
  const { wall } = job.room;
  const x = (at: number) => wall.width - at;
  const flip = <T extends { wall?: 'main' | 'left' | 'right' | undefined }>(item: T, main: (i: T) => T): T =>
    (item.wall ?? 'main') === 'main' ? main(item) : { ...item, wall: 'right' };
  const kinds: Partial<Record<Evidence['kind'], Evidence['kind']>> = {
    'edge-left': 'edge-right',
    'edge-right': 'edge-left',
  };
  return {
    ...job,
    room: {
      ...job.room,
      corner: 'right',
      sideWalls: { right: job.room.sideWalls!.left! },
      wall: { ...wall, returns: { left: false, right: true } },
      objects: job.room.objects!.map((o) => flip(o, (i) => ({ ...i, left: x(i.right), right: x(i.left) }))),
      viewers: job.room.viewers!.map((v) => ({ ...v, x: x(v.x!) })),
    },
    evidence: job.evidence!.map((e) =>
      flip(e, (i) => ({ ...i, x: x(i.x!), kind: kinds[i.kind] ?? i.kind }) as Evidence),
    ),
  };
};

describe('the plan of a corner', () => {
  const job = withKit(sewingCorner, demoCatalogue);
  const p = plan(job);

  it('has the holes of both walls, each on its own, their heights alike, in wood', () => {
    expect(p.holes!.map((h) => [h.id, h.wall])).toEqual([
      ['h1', 'main'],
      ['h2', 'main'],
      ['h3', 'main'],
      ['s1', 'left'],
      ['s2', 'left'],
      ['s3', 'left'],
    ]);
    expect(p.holes!.every((h) => h.into === 'stud' && h.probability > 0.97)).toBe(true);
    for (const i of [0, 1, 2]) expect(p.holes![i]!.y).toBeCloseTo(p.holes![i + 3]!.y, 9);
    // studs by what was marked on their own wall: main 777 and 815, the other 779 and 817
    expect(p.holes![0]!.x).toBeCloseTo(796, 0);
    expect(p.holes![3]!.x).toBeCloseTo(798, 0);
    expect(p.marks!.filter((m) => m.wall === 'left').map((m) => m.id)).toEqual(['s1', 's2', 's3']);
    expect(p.verdict).toBe('caution');
    expect(p.findings.filter((f) => f.level !== 'info').map((f) => f.code)).toEqual(['look-first']);
  });

  it('has the day of a rack: both walls drilled, the rack put up and drawn tight, then the level', () => {
    const steps = p.day!.steps;
    const of = (id: string) => steps.findIndex((s) => s.id === id);
    expect(of('wall.rack')).toBe(of('wall.holes') + 1);
    expect(steps[of('wall.level')]!.after).toEqual(['wall.rack']);
    // an arm in a corner has one plate, and no rack
    const arm = demoCatalogue.mounts.find((m) => m.type === 'full-motion')!;
    expect(plan({ ...job, mount: arm }).day!.steps.map((s) => s.id)).not.toContain('wall.rack');
  });

  it('each foot has half of the set on it, and what is on a wall hides as much as it looks along the middle line', () => {
    const mass = leaves(p.sideWall!.loads!.weight!).find((l) => l.label === 'set-mass')!;
    expect(mass.value).toBeCloseTo(sewingCorner.screen.mass / 2, 9);
    // the window from 1250 to 2150 on the left wall of a square corner
    const seen = facingJob(sewingCorner).room.objects!.find((o) => o.id === 'o3')!;
    expect(seen.left).toBeCloseTo(-2150 / Math.SQRT2, 6);
    expect(seen.right).toBeCloseTo(-1250 / Math.SQRT2, 6);
  });

  it('looked at on both walls it is a go; on one alone it is not', () => {
    const look = (id: string, x: number, wall?: 'left') =>
      [1347, 1227, 1107].map((y, i) => ({
        ...{ id: `${id}${i}`, x, y, bay: 'both' as const, found: 'clear' as const },
        ...(wall ? { wall } : {}),
      }));
    const both = plan({ ...job, looks: [...look('a', 796), ...look('b', 798, 'left')] });
    expect(both.verdict).toBe('go');
    const one = plan({ ...job, looks: look('a', 796) });
    expect(one.findings.find((f) => f.code === 'look-first')!.values.holes).toEqual(['s1', 's2', 's3']);
  });

  it('is the same in the other hand: the corner at the right end', () => {
    const other = plan(withKit(reflected(sewingCorner), demoCatalogue));
    const { width } = job.room.wall;
    expect(other.corner!.standOff).toBeCloseTo(p.corner!.standOff, 9);
    for (const [i, h] of p.holes!.entries()) {
      const o = other.holes![i]!;
      expect(o.wall).toBe(h.wall === 'main' ? 'main' : 'right');
      expect(h.wall === 'main' ? width - o.x : o.x).toBeCloseTo(h.x, 0);
      expect(o.y).toBeCloseTo(h.y, 6);
    }
    for (const [i, a] of p.placement!.angles!.entries())
      expect(other.placement!.angles![i]!.centre).toBeCloseTo(a.centre, 6);
    expect(other.verdict).toBe(p.verdict);
    expect(other.advice!.across).toBeCloseTo(-p.advice!.across!, 6);
    expect(other.loads!.worst).toBeCloseTo(p.loads!.worst, 3);
  });

  it('asks its other wall what it is: brick there, and that foot goes into whole bricks, the other into studs', () => {
    const brick: Job = {
      ...job,
      room: {
        ...job.room,
        sideWalls: {
          left: {
            width: 2600,
            build: {
              kind: 'masonry',
              board: 0,
              cover: 'none',
              masonry: 'brick',
              unit: { width: 215, height: 65, joint: 10 },
            },
          },
        },
      },
      evidence: [
        ...job.evidence!.filter((e) => e.wall === undefined),
        { id: 'j1', kind: 'joint', wall: 'left', x: 900, y: 1200 },
      ],
    };
    const mixed = plan(brick);
    expect(mixed.holes!.filter((h) => h.wall === 'main').every((h) => h.into === 'stud')).toBe(true);
    const side = mixed.holes!.filter((h) => h.wall === 'left');
    expect(side.length).toBe(3);
    expect(side.every((h) => h.into === 'masonry')).toBe(true);
    expect(mixed.sideWall!.courses!.length).toBeGreaterThan(10);
    expect(mixed.courses).toBeUndefined();
  });

  it('its eyes are measured to where the set faces: straight ahead is along the middle of the corner', () => {
    // 2000 ahead of the corner on its middle line: 1414.2 along and out
    const viewers = [{ id: 'v', eye: 1200, x: 2000 / Math.SQRT2, distance: 2000 / Math.SQRT2 }];
    const straight = plan({ ...job, room: { ...job.room, viewers }, choices: { centreY: 1300 } });
    const run = 2000 - straight.corner!.front;
    expect(straight.placement!.angles![0]!.centre).toBeCloseTo((Math.atan(100 / run) * 180) / Math.PI, 6);
  });

  it('a thing that stands out of either wall into the set is a stop, with the gap that just clears it', () => {
    const post = (wall: 'main' | 'left') => ({
      ...{ id: 'post', kind: 'other' as const, left: 500, right: 560, bottom: 0, top: 2000, out: 90 },
      ...{ setMayCover: true, plateMayCover: true },
      ...(wall === 'main' ? {} : { wall }),
    });
    for (const wall of ['main', 'left'] as const) {
      const there = { ...job, room: { ...job.room, objects: [...job.room.objects!, post(wall)] } };
      const stop = plan(there).findings.find((f) => f.code === 'corner-thing-in-way')!;
      const gap = stop.values.gapMm as number;
      const codes = (cornerGap: number) => plan({ ...there, choices: { cornerGap } }).findings.map((f) => f.code);
      expect(codes(gap)).not.toContain('corner-thing-in-way');
      expect(codes(gap - 2)).toContain('corner-thing-in-way');
      // by hand: the set's back runs from 635 on one wall to 635 on the other, at 45 degrees; the post's far corner is
      // 560 + 90 from the corner along both axes, so that the back has to be at x + z = 650 at least
      const standOff = plan({ ...there, choices: { cornerGap: gap } }).corner!.standOff;
      expect(standOff * Math.SQRT2).toBeGreaterThanOrEqual(560 + 90 - 2);
      expect(standOff * Math.SQRT2).toBeLessThanOrEqual(560 + 90 + 3);
    }
  });

  it('where the feet miss their studs the set is pulled out until both are over them, if it then holds', () => {
    // links of 370: outer feet 784 out, their slots 7.8 to either side, and the studs at 796 and 798
    const mount: Mount = { ...sewingCorner.mount!, corner: { span: 400, link: 370 } };
    const missed = plan({ ...job, mount });
    expect(missed.findings.map((f) => f.code)).toContain('corner-no-wood');
    const remedy = missed.remedies!.find((r) => r.kind === 'corner-gap')!;
    const gap = Number(remedy.by);
    const pulled = plan({ ...job, mount, choices: { cornerGap: gap } });
    expect(pulled.holes!.length).toBe(6);
    expect(pulled.findings.map((f) => f.code)).not.toContain('corner-no-wood');
    expect(pulled.loads!.worst).toBeCloseTo(remedy.result.utilisation!, 6);
    expect(plan({ ...job, mount, choices: { cornerGap: gap - 1 } }).findings.map((f) => f.code)).toContain(
      'corner-no-wood',
    );
  });

  it('says of a rack that cannot be: bracket in the wall, links too short, foot beyond the wall’s end', () => {
    const codes = (change: Partial<Mount>, room: Partial<Job['room']> = {}) =>
      plan({ ...job, mount: { ...sewingCorner.mount!, ...change }, room: { ...job.room, ...room } }).findings.map(
        (f) => f.code,
      );
    expect(codes({ corner: { span: 1000, link: 400 } })).toContain('corner-bracket-in-wall');
    expect(codes({ corner: { span: 200, link: 200 } })).toContain('corner-link-short');
    expect(codes({ corner: { span: 100, link: 900 } }, { sideWalls: { left: { width: 500 } } })).toContain(
      'corner-foot-off',
    );
    const { corner: _, ...plain } = sewingCorner.mount!;
    expect(plan({ ...job, mount: plain }).findings.map((f) => f.code)).toContain('corner-undrawn');
  });

  it('of two stances takes only one in which both feet are on their walls, whatever would hold them better', () => {
    // by hand: pivots (449 + 200) / root 2 = 458.9 along, 176.1 out; links of 380 reach 336.7 to either side: 795.7 or 122.2
    const solid = { kind: 'masonry' as const, board: 13, masonry: 'concrete' as const };
    const inSolid = (side: number, link = 380) =>
      plan({
        ...job,
        room: {
          ...job.room,
          objects: [],
          wall: { ...job.room.wall, build: solid },
          sideWalls: { left: { width: side, build: solid } },
        },
        mount: { ...job.mount!, corner: { span: 400, link } },
      });
    const half = job.mount!.plate!.width / 2;
    const room = inSolid(3000).corner!;
    expect([room.stance, room.feet!.map((f) => f.x.toFixed(1))]).toEqual(['outer', ['795.7', '795.7']]);
    const short = inSolid(795.6 + half - 5);
    expect([short.corner!.stance, short.corner!.feet!.map((f) => f.x.toFixed(1))]).toEqual([
      'inner',
      ['122.2', '122.2'],
    ]);
    // links of 480 reach 446.6: 12.3 from the corner the plate would be round it
    const neither = inSolid(850, 480);
    expect(neither.corner!.feet).toBeUndefined();
    expect(neither.findings.find((f) => f.code === 'corner-foot-off')!.values).toMatchObject({ onWall: 'left' });
    expect(neither.findings.filter((f) => f.code === 'corner-foot-off')).toHaveLength(1);
  });

  it('holes that were drilled on the other wall stay where they are there, and say nothing of this one', () => {
    const hole = p.holes!.find((h) => h.id === 's1')!;
    const drilled = [
      { hole: 's1', wall: 'left' as const, x: hole.x, y: hole.y, result: 'good' as const, into: 'stud' as const },
    ];
    const after = plan({ ...job, drilled });
    expect(after.holes!.filter((h) => h.done).map((h) => h.id)).toEqual(['s1']);
    expect(after.holes!.filter((h) => h.wall === 'main')).toEqual(p.holes!.filter((h) => h.wall === 'main'));
    const hollow = plan({ ...job, drilled: [{ ...drilled[0]!, result: 'hollow' as const }] });
    expect(hollow.studs).toEqual(p.studs);
    expect(hollow.sideWall!.studs).not.toEqual(p.sideWall!.studs);
  });
});

describe('what a corner does not say', () => {
  it('how sure all of it is, and how long a lead has to be: nobody has worked that out for two walls', () => {
    const job = withKit(sewingCorner, demoCatalogue);
    const p = plan(job);
    expect(toleranceOfJob(job, p)).toBeUndefined();
    expect(p.leads).toBeUndefined();
    expect(p.day!.steps.length).toBeGreaterThan(5);
  });
});

describe('which mounts a corner ranks', () => {
  it('racks, and arms that reach; a wall ranks no rack; and a rack that is picked for a wall is a stop that says why', () => {
    const types = (j: Job) => new Set(rankMounts(demoCatalogue.mounts, withKit(j, demoCatalogue)).map((r) => r.type));
    expect(types(sewingCorner)).toEqual(new Set(['corner', 'full-motion']));
    expect(types(testJob()).has('corner')).toBe(false);
    const picked = plan(testJob({ mount: sewingCorner.mount! }));
    expect(picked.findings.find((f) => f.code === 'mount-room-kind')).toMatchObject({ level: 'stop', stage: 'mount' });
    expect(plan(withKit(sewingCorner, demoCatalogue)).findings.map((f) => f.code)).not.toContain('mount-room-kind');
  });

  it('a list says what the plan says: the worst fastener alike, whichever wall it is in', () => {
    const job = withKit(sewingCorner, demoCatalogue);
    for (const r of rankMounts(demoCatalogue.mounts, job)) {
      const scheme = r.reasons.find((f) => f.rule === 'scheme');
      const made = plan({ ...job, mount: demoCatalogue.mounts.find((m) => m.id === r.id)! });
      if (typeof scheme?.value === 'number') expect(made.loads!.worst).toBeCloseTo(scheme.value, 6);
      else if (scheme) expect(made.verdict).toBe('stop');
    }
  });
});

describe('the other wall by itself', () => {
  it('is what is on it and what is known of it, x from the corner, nothing of the main wall', () => {
    const side = sideWallJob(sewingCorner, 'left');
    expect(side.room.wall).toMatchObject({ width: 2600, height: 2400, returns: { left: true } });
    expect(side.room.objects!.map((o) => o.id)).toEqual(['o3', 'o4']);
    expect(side.evidence!.map((e) => e.id)).toEqual(['e5', 'e6']);
    expect(side.evidence!.every((e) => e.wall === undefined)).toBe(true);
  });
});

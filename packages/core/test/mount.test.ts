import type { Build, Zone } from '@steddo/contract';
import { fitMount, outlineOf, patternClass, plan, rankMounts } from '../src';
import { IN, testJob, testMount } from './jobs';

const rule = (job: Parameters<typeof fitMount>[1], name: string, mount = testMount) =>
  fitMount(mount, job).find((f) => f.rule === name)!;
const withScreen = (change: object) => testJob({ screen: { ...testJob().screen, ...change } });

describe('the set', () => {
  // 16:9 geometry: w = 16 d / sqrt 337, h = 9 d / sqrt 337; the sides and the diagonal make a right triangle
  it('guesses a 16:9 outline, and says that it is a guess', () => {
    const { width, height, guessed } = outlineOf(
      { diagonal: 1270, mass: 10, pattern: { width: 200, height: 200 } },
      [],
    );
    expect(guessed).toBe(true);
    expect(width.value / height.value).toBeCloseTo(16 / 9, 9);
    expect(Math.hypot(width.value, height.value)).toBeCloseTo(1270, 9);
    expect(width.value).toBeCloseTo(1106.9, 1);
  });
  it('measured counts; more than 4 % off is worth a caution', () => {
    expect(plan(withScreen({ height: 640 })).findings.map((f) => f.code)).not.toContain('outline-off-diagonal');
    expect(plan(withScreen({ height: 660 })).findings.map((f) => f.code)).toContain('outline-off-diagonal');
  });
  // VESA FDMI (from memory): D 75 and 100 M4 8 and 14 kg; E 200 x 100 M4 22.7 kg; F M6 to 50, M8 to 113.6
  it.each([
    [75, 75, 5, 'D 75', 'M4', 8],
    [100, 100, 5, 'D 100', 'M4', 14],
    [200, 100, 5, 'E', 'M4', 22.7],
    [200, 200, 20, 'F', 'M6', 113.6],
    [600, 400, 60, 'F', 'M8', 113.6],
    [300, 200, 20, 'between', 'M6', undefined],
  ])('pattern %d x %d at %d kg is class %s', (width, height, kg, name, thread, limitKg) => {
    expect(patternClass({ width, height }, kg)).toMatchObject({
      name,
      thread,
      ...(limitKg === undefined ? {} : { limitKg }),
    });
  });
  it('too heavy for its class is a caution', () => {
    const small = withScreen({ pattern: { width: 100, height: 100 }, mass: 14.1 });
    expect(plan(small).findings.map((f) => f.code)).toContain('mass-above-class');
    expect(
      plan(withScreen({ pattern: { width: 100, height: 100 }, mass: 14 })).findings.map((f) => f.code),
    ).not.toContain('mass-above-class');
    const m6 = withScreen({ mass: 51, insert: { thread: 'M6' } });
    expect(plan(m6).findings.find((f) => f.code === 'mass-above-class')!.values.limitKg).toBe(50);
  });
});

describe('fit', () => {
  it('mass: at the rating it fits, above it stops, with the margin', () => {
    expect(rule(withScreen({ mass: 40 }), 'mass')).toMatchObject({ ok: true, margin: 0 });
    expect(rule(withScreen({ mass: 45 }), 'mass')).toMatchObject({
      ok: false,
      level: 'stop',
      margin: -5,
    });
  });
  it('pattern: 11 mm short in height', () => {
    const p = rule(withScreen({ pattern: { width: 400, height: 411 } }), 'pattern');
    expect(p).toMatchObject({ ok: false, level: 'stop', axis: 'height', margin: -11 });
    expect(rule(withScreen({ pattern: { width: 75, height: 100 } }), 'pattern')).toMatchObject({
      ok: false,
      axis: 'width',
      margin: -25,
    });
    expect(rule(withScreen({ pattern: { width: 400, height: 100 } }), 'pattern').ok).toBe(true);
  });
  it('pattern: a list takes only what is in it', () => {
    const mount = {
      ...testMount,
      pattern: {
        ...testMount.pattern,
        only: [
          { width: 100, height: 100 },
          { width: 200, height: 200 },
        ],
      },
    };
    expect(rule(withScreen({ pattern: { width: 200, height: 200 } }), 'pattern', mount)).toMatchObject({
      ok: true,
      margin: 0,
    });
    expect(rule(withScreen({ pattern: { width: 200, height: 100 } }), 'pattern', mount)).toMatchObject({
      ok: false,
      margin: -100,
    });
  });
  it('pattern beyond the arms asks for the extension arms', () => {
    const mount = {
      ...testMount,
      pattern: { ...testMount.pattern, extendedAbove: { width: 200, height: 200 } },
    };
    const codes = (width: number) =>
      plan({ ...withScreen({ pattern: { width, height: 200 } }), mount }).findings.map((f) => f.code);
    expect(codes(400)).toContain('extension-arms-needed');
    expect(codes(200)).not.toContain('extension-arms-needed');
  });
  it('size range: outside is a caution, not a stop', () => {
    expect(rule(withScreen({ diagonal: 1701 }), 'screen-size')).toMatchObject({
      ok: false,
      level: 'caution',
      margin: -1,
      axis: 'largest',
    });
    expect(rule(withScreen({ diagonal: 790 }), 'screen-size')).toMatchObject({
      ok: false,
      margin: -10,
      axis: 'smallest',
    });
  });
  it('wall: made for it or a stop; unknown is a caution', () => {
    const on = (kind: 'masonry' | 'unknown' | 'timber-stud') => {
      const job = testJob();
      return rule({ ...job, room: { ...job.room, wall: { ...job.room.wall, build: { kind } } } }, 'wall-kind');
    };
    expect(on('timber-stud').ok).toBe(true);
    expect(on('masonry')).toMatchObject({ ok: false, level: 'stop' });
    expect(on('unknown')).toMatchObject({ ok: false, level: 'caution' });
  });
  it('wall: of a wall in parts what is behind the set counts, and what of it the mount is made for', () => {
    const inParts = (zone: Omit<Zone, 'id' | 'build'>, build: Build) => {
      const { wall } = testJob().room;
      const brick: Build = { kind: 'masonry', masonry: 'brick', board: 25 };
      const job = testJob();
      const made = plan({
        ...job,
        room: { ...job.room, wall: { ...wall, build: brick, zones: [{ id: 'z', ...zone, build }] } },
      });
      const of = (name: string) => made.fit!.find((f) => f.rule === name);
      return [of('wall-kind')!.ok, of('wall-kind')!.value, of('covering')?.value];
    };
    const studs: Build = { kind: 'timber-stud', board: 15 };
    const behind = (build: Build, ...parts: [Omit<Zone, 'id' | 'build'>, Build][]) => {
      const zones = parts.map(([box, own], i) => ({ id: `z${i}`, ...box, build: own }));
      const job = testJob();
      return plan({ ...job, room: { ...job.room, wall: { ...job.room.wall, build, zones } } }).fit!;
    };
    const all = { left: 0, right: 4000, bottom: 0, top: 2500 };
    const some = { left: 1900, right: 2100, bottom: 0, top: 2500 };
    // studs everywhere but there are bricks all over before them, metal in a part: the wall's own build is nowhere
    const hidden = behind(studs, [all, { kind: 'masonry' }], [some, { kind: 'metal-stud' }]);
    expect(hidden.find((f) => f.rule === 'wall-kind')!.ok).toBe(false);
    // of two coverings the thinner one is the one that is asked for
    const thin = behind({ ...studs, board: 25 }, [some, studs]);
    expect(thin.find((f) => f.rule === 'covering')).toMatchObject({ ok: true, value: 15 });
    // the set is 1118 wide about 2000, somewhere between 500 and 2450
    expect(inParts({ left: 0, right: 4000, bottom: 0, top: 2500 }, studs)).toEqual([true, 'timber-stud', 15]);
    expect(inParts({ left: 1900, right: 2100, bottom: 0, top: 2500 }, studs)).toEqual([true, 'timber-stud', 15]);
    expect(inParts({ left: 0, right: 1000, bottom: 0, top: 2500 }, studs)).toEqual([false, 'masonry', undefined]);
  });
  // common practice: covering no thicker than 5/8 in (16 mm) where the label is silent
  it('covering: as the label says, else 16 mm', () => {
    const covered = (board: number, mount = testMount) => {
      const job = testJob();
      const build = { ...job.room.wall.build, board };
      return rule({ ...job, room: { ...job.room, wall: { ...job.room.wall, build } } }, 'covering', mount).ok;
    };
    const silent = { ...testMount, walls: { 'timber-stud': {} } };
    expect([covered(16), covered(16.1), covered(16, silent), covered(17, silent)]).toEqual([true, false, true, false]);
  });
  it('stud spacing: one bay or more within the range', () => {
    const spaced = (spacing: number) => {
      const job = testJob();
      const build = { ...job.room.wall.build, spacing };
      return rule({ ...job, room: { ...job.room, wall: { ...job.room.wall, build } } }, 'stud-spacing').ok;
    };
    expect([spaced(16 * IN), spaced(24 * IN), spaced(350), spaced(200)]).toEqual([true, true, false, true]);
  });
});

describe('ranking', () => {
  const heavy = { ...testMount, id: 'weak', maxMass: 11 };
  const weaker = {
    ...testMount,
    id: 'weaker',
    maxMass: 6,
    pattern: { ...testMount.pattern, max: { width: 195, height: 195 } },
  };
  const big = { ...testMount, id: 'big', screenSize: { min: 1300, max: 2000 } };
  const deep = { ...testMount, id: 'deep', depth: { folded: 90 } };
  const dear = { ...testMount, id: 'dear', price: 100 };
  const cheap = { ...testMount, id: 'cheap', price: 50 };
  const corner = { ...testMount, id: 'corner', type: 'corner' as const, depth: { folded: 10 } };

  it('stops last, then cautions; then depth and price; what hangs in a corner alone is in no wall’s list', () => {
    const order = rankMounts([heavy, big, deep, dear, corner, cheap, weaker], testJob()).map((r) => r.id);
    expect(order).toEqual(['cheap', 'dear', 'deep', 'big', 'weak', 'weaker']);
  });
  it('does not depend on the order of the catalogue', () => {
    const mounts = [heavy, big, deep, dear, corner, cheap, weaker];
    const a = rankMounts(mounts, testJob()).map((r) => r.id);
    expect(rankMounts([...mounts].reverse(), testJob()).map((r) => r.id)).toEqual(a);
  });
  it('names the failed rule nearest to passing', () => {
    // 6 of 6 kg short is further off than 5 of 195 mm
    const [r] = rankMounts([weaker], testJob());
    expect(r!.nearest).toMatchObject({ rule: 'pattern', margin: -5 });
    expect(r!.verdict).toBe('stop');
  });
  it('a label-only mount is ranked and says what to measure', () => {
    const { plate: _p, hook: _h, patternAboveHook: _a, ...label } = testMount;
    expect(rankMounts([label], testJob())[0]).toMatchObject({
      verdict: 'go',
      toMeasure: ['plate', 'hook', 'patternAboveHook'],
    });
    const p = plan(testJob({ mount: label }));
    expect(p.findings.find((f) => f.code === 'mount-to-measure')!.level).toBe('todo');
    expect(p.holes).toBeUndefined();
  });
  it('leaves archived mounts out', () => {
    expect(rankMounts([{ ...testMount, archived: true }], testJob())).toEqual([]);
  });
  it('too heavy or wrong pattern can never be acknowledged away', () => {
    const p = plan(testJob({ mount: heavy, fixing: { acknowledged: [{ code: 'mount-mass' }] } }));
    expect(p.findings.find((f) => f.code === 'mount-mass')).toMatchObject({
      acknowledgeable: false,
      acknowledged: false,
    });
    expect(p.verdict).toBe('stop');
  });
});

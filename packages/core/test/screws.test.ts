import fc from 'fast-check';
import type { Mount, Screen } from '@steddo/contract';
import { evaluate, patternPlace, patternRight, patternUp, plan, stackScrews, threadOf } from '../src';
import { testJob, testMount } from './jobs';

const screen: Screen = {
  ...testJob().screen,
  insert: { thread: 'M6', depth: 14, recess: 0 },
  back: 'flat',
};
const bag = {
  bracket: 2.5,
  screws: [{ thread: 'M6', length: 12 }],
  spacers: [10, 20],
  washers: [1.6],
};
const mountWith = (change: Partial<NonNullable<Mount['bag']>>): Mount => ({
  ...testMount,
  bag: { ...bag, ...change },
});
const M6 = (...lengths: number[]) => lengths.map((length) => ({ thread: 'M6', length }));
const idsOf = (s: Screen, m: Mount) => stackScrews(s, m, undefined)!.stacks.map((k) => k.id);

describe('the screw stack', () => {
  // ISO 261 coarse pitches, from memory
  it.each([
    ['M4', 4, 0.7],
    ['M5', 5, 0.8],
    ['M6', 6, 1],
    ['M8', 8, 1.25],
  ])('%s is %d mm across and %d mm a turn', (name, diameterMm, pitchMm) => {
    expect(threadOf(name)).toEqual({ diameterMm, pitchMm });
  });

  it('fills the insert: length less bracket, in turns, with what is left below', () => {
    const [first] = stackScrews(screen, mountWith({}), undefined)!.stacks;
    expect(first).toMatchObject({ id: 'M6x12', engagement: 9.5, clearance: 4.5, turns: 9.5 });
    expect(evaluate(first!.workings!.engagement)).toBe(9.5);
  });

  it('deepest engagement first; a washer makes a screw that bottoms out serve', () => {
    // 16 - 2.5 = 13.5 in an insert of 14: less than 1 mm left; with the washer 11.9
    expect(idsOf(screen, mountWith({ screws: M6(12, 16) }))).toEqual(['M6x16+w1.6', 'M6x12', 'M6x12+w1.6']);
  });

  it('one diameter engaged is enough, and one millimetre left; a hair less is not', () => {
    const depth = (d: number) => ({ ...screen, insert: { thread: 'M6', depth: d } });
    expect(idsOf(depth(14), mountWith({ screws: M6(8.5), washers: [] }))).toHaveLength(1);
    expect(idsOf(depth(14), mountWith({ screws: M6(8.4), washers: [] }))).toHaveLength(0);
    expect(idsOf(depth(14), mountWith({ screws: M6(15.5), washers: [] }))).toHaveLength(1);
    expect(idsOf(depth(14), mountWith({ screws: M6(15.6), washers: [] }))).toHaveLength(0);
  });

  it('says by how much a screw is short or long, in millimetres and turns, or of the wrong thread', () => {
    const m8 = { ...screen, insert: { thread: 'M8', depth: 20 } };
    const screws = [
      { thread: 'M6', length: 12 },
      { thread: 'M8', length: 8 },
      { thread: 'M8', length: 40 },
    ];
    const { misfits } = stackScrews(m8, mountWith({ screws, washers: [], spacers: [] }), undefined)!.check;
    expect(misfits.map((m) => [m.thread, m.length, m.why])).toEqual([
      ['M6', 12, 'thread'],
      ['M8', 8, 'short'],
      ['M8', 40, 'long'],
    ]);
    // 8 - 2.5 = 5.5 against 8: 2.5 short, two turns of 1.25; 40 - 2.5 = 37.5 against 19: 18.5 long
    expect(misfits[1]).toMatchObject({ by: 2.5, turns: 2 });
    expect(misfits[2]!.by).toBeCloseTo(18.5, 9);
  });

  it('a spacer takes up what is too long, before a screw is bought (common practice)', () => {
    // 30 - 2.5 = 27.5 in an insert of 14; behind a 20 spacer 7.5
    expect(idsOf(screen, mountWith({ screws: M6(30), washers: [] }))).toEqual(['M6x30+s20']);
    // where one fits without, none is taken
    expect(idsOf(screen, mountWith({ screws: M6(12, 30), washers: [] }))).toEqual(['M6x12']);
  });

  it('says what to buy, in a length that is sold', () => {
    const long = mountWith({ screws: M6(30), washers: [], spacers: [] });
    const { stacks, check } = stackScrews(screen, long, undefined)!;
    expect(stacks).toEqual([]);
    expect(check.buy).toEqual({ thread: 'M6', from: 8.5, to: 15.5, length: 12 });
    const codes = plan(testJob({ screen, mount: long })).findings;
    expect(codes.find((f) => f.code === 'screw-none')).toMatchObject({
      level: 'stop',
      stage: 'set',
    });
  });

  it('an insert that is too shallow for any screw is said to be', () => {
    const shallow = { ...screen, insert: { thread: 'M6', depth: 6 } };
    const p = plan(testJob({ screen: shallow, mount: mountWith({}) }));
    expect(p.findings.find((f) => f.code === 'insert-too-shallow')!.values).toEqual({
      depthMm: 6,
      needMm: 7,
    });
  });

  it('no spacer unless the back, the plugs or what is behind ask for one', () => {
    const mount = mountWith({ screws: M6(12, 25, 30) });
    const spacers = (s: Partial<Screen>, out?: number) => {
      const objects = [
        {
          id: 'box',
          kind: 'outlet' as const,
          left: 1700,
          right: 1770,
          bottom: 1000,
          top: 1100,
          out,
        },
      ];
      const room = { ...testJob().room, objects: out === undefined ? [] : objects };
      const p = plan(testJob({ screen: { ...screen, ...s }, mount, room }));
      return {
        used: [...new Set((p.screen.screws ?? []).map((k) => k.spacer))],
        check: p.screen.screwCheck,
      };
    };
    expect(spacers({}).used).toEqual([0]);
    expect(spacers({ back: 'curved' }).used.every((s) => s > 0)).toBe(true);
    // plugs 75 deep on a mount 60 off the wall: 15 short, so only the 20 serves
    expect(spacers({ ports: 'back', plugDepth: 75 })).toMatchObject({
      used: [20],
      check: { spacer: { why: 'plugs', least: 15 } },
    });
    expect(spacers({ ports: 'back', plugDepth: 60 }).used).toEqual([0]);
    expect(spacers({ ports: 'side', plugDepth: 75 }).used).toEqual([0]);
    expect(spacers({}, 68)).toMatchObject({ check: { spacer: { why: 'behind', least: 8 } } });
    expect(spacers({}, 50).used).toEqual([0]);
  });

  it('a spacer brings the face out: the seats see it from nearer', () => {
    const fills = (back: Screen['back']) =>
      plan(testJob({ screen: { ...screen, back }, mount: mountWith({ screws: M6(12, 20) }) })).distances!.viewers[0]!
        .distance;
    expect(fills('flat') - fills('curved')).toBeCloseTo(10, 9);
  });

  it('asks for what has not been measured, and gives no screw until then', () => {
    const p = plan(testJob({ screen: { ...screen, insert: { thread: 'M6' } }, mount: mountWith({}) }));
    expect(p.screen.screws).toBeUndefined();
    expect(p.findings.find((f) => f.code === 'insert-to-measure')!.values.fields).toEqual(['screen.insert.depth']);
  });

  it('agrees with trying everything in small bags', () => {
    const some = (max: number, of: number[]) => fc.subarray(of, { minLength: 0, maxLength: max });
    fc.assert(
      fc.property(
        fc.constantFrom('M4', 'M6', 'M8'),
        fc.integer({ min: 4, max: 24 }),
        fc.integer({ min: 0, max: 3 }),
        some(4, [6, 8, 10, 12, 16, 20, 25, 30, 35]),
        some(2, [1, 1.6, 2.5]),
        some(2, [5, 10, 15]),
        fc.boolean(),
        (thread, depth, recess, lengths, washers, spacers, curved) => {
          const s: Screen = {
            ...screen,
            insert: { thread, depth, recess },
            back: curved ? 'curved' : 'flat',
          };
          const screws = lengths.map((length) => ({ thread, length }));
          const mount = mountWith({ screws, washers, spacers });
          const found = plan(testJob({ screen: s, mount })).screen.screws ?? [];
          const holding = (behind: number[]) => {
            const want = new Set<string>();
            for (const { length } of screws)
              for (let w = 0; w < 1 << washers.length; w++)
                for (const spacer of behind) {
                  const used = washers.filter((_, i) => w & (1 << i));
                  const inside = length - 2.5 - recess - spacer - used.reduce((a, b) => a + b, 0);
                  const holds = inside >= Number(thread.slice(1)) - 1e-9 && inside <= depth - 1 + 1e-9;
                  if (holds) want.add(`${length}|${used.join()}|${spacer}`);
                }
            return want;
          };
          const plain = holding(curved ? spacers : [0]);
          const want = plain.size > 0 || curved ? plain : holding(spacers);
          expect(new Set(found.map((k) => `${k.length}|${k.washers.join()}|${k.spacer}`))).toEqual(want);
          found.slice(1).forEach((k, i) => expect(found[i]!.engagement).toBeGreaterThanOrEqual(k.engagement));
        },
      ),
      { numRuns: 50 },
    );
  });
});

describe('where the pattern sits', () => {
  // common practice: 10 in above it, 8 in below it
  it('reads from either edge, and back', () => {
    const s: Screen = { ...screen, height: 26 * 25.4, pattern: { width: 200, height: 8 * 25.4 } };
    expect(patternUp(s, 'top', 10 * 25.4)).toBeCloseTo(-25.4, 9);
    expect(patternUp(s, 'bottom', 8 * 25.4)).toBeCloseTo(-25.4, 9);
    const placed = { ...s, patternCentre: { right: 12, up: -25.4 } };
    const { top, bottom, left, right } = patternPlace(placed);
    expect([top / 25.4, bottom / 25.4]).toEqual([expect.closeTo(10, 9), expect.closeTo(8, 9)]);
    expect(left - right).toBeCloseTo(24, 9);
    expect(patternRight(placed, 'left', left)).toBeCloseTo(12, 9);
    expect(patternRight(placed, 'right', right)).toBeCloseTo(12, 9);
  });
  it('an insert of another thread than its class is a note', () => {
    const p = (thread: string) =>
      plan(testJob({ screen: { ...screen, insert: { thread, depth: 14 } } })).findings.map((f) => f.code);
    expect(p('M4')).toContain('thread-off-class');
    expect(p('M8')).not.toContain('thread-off-class');
  });
});

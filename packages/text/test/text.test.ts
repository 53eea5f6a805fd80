import type { Finding, Job } from '@steddo/contract';
import { evaluate, leaf, node, parseTape, plan } from '@steddo/core';
import { demoRooms, guestRoom, breakfastBar } from '@steddo/samples';
import {
  bitText,
  screwSize,
  classText,
  findingText,
  fitText,
  nextLookText,
  holeName,
  planFile,
  wordedBy,
  wordingFor,
  wordsIn,
  tapeFaultText,
  workingLine,
} from '../src';

const say = wordingFor(guestRoom);
describe('words', () => {
  it.each(demoRooms)('$id: no sentence has a hole in it', ({ job }) => {
    for (const f of planFile(plan(job), job).findings) {
      expect(f.message).not.toMatch(/undefined|NaN|null|\[object/);
      expect(f.message!.length).toBeGreaterThan(10);
    }
  });
  it.each(demoRooms)('$id: a sentence in its pieces is the sentence', ({ job }) => {
    for (const f of planFile(plan(job), job).findings) {
      const parts = wordsIn(f.message!);
      expect(parts.map((p) => p.text).join('')).toBe(f.message);
      const terms = parts.flatMap((p) => p.term ?? []);
      expect(new Set(terms).size).toBe(terms.length);
    }
  });
  it('words that can be looked up stand apart the first time, by themselves and not within another word', () => {
    expect(wordsIn('Lags need pilot holes; a lag in the bay pulls out. Player, bayonet.')).toEqual([
      { text: 'Lags', term: 'lag' },
      { text: ' need ' },
      { text: 'pilot holes', term: 'pilot' },
      { text: '; a lag in the ' },
      { text: 'bay', term: 'bay' },
      { text: ' pulls out. Player, bayonet.' },
    ]);
    expect(wordsIn('Nothing of it.')).toEqual([{ text: 'Nothing of it.' }]);
  });
  it('on a corner’s other wall it is so far from the corner, on the main one from the left', () => {
    const felt = (onWall: string): Finding => ({
      ...{ code: 'felt-something', level: 'stop', stage: 'wall', acknowledgeable: false, acknowledged: false },
      values: { xMm: 254, yMm: 508, onWall },
    });
    expect(findingText(felt('left'), say)).toMatch(
      /^The left wall: Something was felt in the wall 10 in from the corner,/,
    );
    expect(findingText(felt('main'), say)).toMatch(
      /^The main wall: Something was felt in the wall 10 in from the left,/,
    );
    const look = { kind: 'edge', x: 254, y: 508, gain: 0.1, reason: 'find-first' } as const;
    expect(nextLookText(look, say, 'right')).toContain('at 10 in from the corner');
    expect(nextLookText(look, say)).toContain('at 10 in from the left');
  });
  it('units follow the job', () => {
    const finding: Finding = {
      code: 'height-moved',
      level: 'caution',
      stage: 'height',
      acknowledgeable: false,
      acknowledged: false,
      values: { school: 'eyes', wantedMm: 1016, gotMm: 1041.4, by: 'object:o1' },
    };
    expect(findingText(finding, say)).toBe('Wanted the centre at 40 in, got 41 in: the tallboy stands in the way.');
    expect(findingText(finding, wordingFor(breakfastBar))).toContain('1016 mm, got 1041 mm: the breakfast bar');
  });
  it('a failed rule says how far it is from passing', () => {
    expect(
      fitText(
        {
          rule: 'pattern',
          unit: 'mm',
          ok: false,
          level: 'stop',
          value: 411,
          limit: 400,
          margin: -11,
          axis: 'height',
        },
        say,
      ),
    ).toBe('11 mm short in pattern height');
  });
  it('a working reads as a line of arithmetic', () => {
    const hook = node('hook-height', '+', 'mm', [
      leaf('set-bottom', 48 * 25.4, 'mm'),
      leaf('bottom-to-hook', 17 * 25.4, 'mm'),
    ]);
    expect(workingLine(hook, say)).toBe("48 in set's bottom + 17 in bottom edge to hook = 65 in");
    expect(evaluate(hook)).toBeCloseTo(65 * 25.4, 9);
  });
  it('a hole is named by its stud and its row', () => {
    const { holes = [] } = plan(guestRoom);
    expect(holes.map((h) => holeName(h, holes))).toEqual([
      'Hole 1, left stud, top row',
      'Hole 2, right stud, top row',
      'Hole 3, left stud, bottom row',
      'Hole 4, right stud, bottom row',
    ]);
  });
  it.each([
    // VESA FDMI, from memory
    [100, 100, /Class D 100 .*: M4 to 30\.9 lb\./],
    [200, 100, /Class E .*: M4 to 50 lb\./],
    [400, 400, /Class F .*: M6 to 110\.2 lb, M8 to 250\.4 lb\./],
    [300, 200, /^Between the sizes .*usually M6\.$/],
  ])('a pattern of %d x %d says its class, thread and most mass', (width, height, text) => {
    expect(classText({ ...guestRoom.screen, pattern: { width, height } }, say)).toMatch(text);
  });
  it('bits are sixty-fourths where they are', () => {
    expect(bitText((7 / 32) * 25.4, say)).toBe('7/32 in');
    expect(bitText(5, say)).toBe('5 mm');
    expect(bitText((7 / 32) * 25.4, wordingFor(breakfastBar))).toBe('5.6 mm (7/32 in)');
    expect(bitText(12.7, wordingFor(breakfastBar))).toBe('12.7 mm (1/2 in)');
    expect(bitText(10, wordingFor(breakfastBar))).toBe('10 mm');
    expect(screwSize(7.94, 63.5, say)).toBe('5/16 x 2 1/2 in');
    expect(screwSize(7.94, 64, wordingFor(breakfastBar))).toBe('7.9 x 64 mm');
  });
  it.each(['', 'abc', '1,5', '-3', '3/7', '58 9/8', `4' 14"`, '99999'])('a refused "%s" says what is taken', (text) => {
    const read = parseTape(text, { unit: 'in', atMostMm: 4000, atLeastMm: 0 });
    expect(read.ok).toBe(false);
    if (!read.ok) expect(tapeFaultText(read.fault, say, '58 3/8')).toMatch(/[Tt]akes|Write|go up to/);
  });
  it('what wording goes by is another exactly when some word would be', () => {
    const { room } = guestRoom;
    const [first, ...others] = room.objects!;
    const by = (job: Pick<Job, 'units' | 'room'>) => JSON.stringify(wordedBy(job));
    const words = (job: Pick<Job, 'units' | 'room'>) => {
      const { thing, length } = wordingFor(job);
      const ids = [...room.objects!, ...(room.floor ?? []), ...(room.viewers ?? [])].map((t) => t.id);
      return [...ids.map(thing), length(1000)].join();
    };
    const jobs: Pick<Job, 'units' | 'room'>[] = [
      { ...guestRoom, room: { ...room, objects: [{ ...first!, left: first!.left + 10 }, ...others] } },
      { ...guestRoom, room: { ...room, objects: [{ ...first!, name: 'chest' }, ...others] } },
      { ...guestRoom, room: { ...room, objects: others } },
      { ...guestRoom, room: { ...room, viewers: room.viewers!.map((v) => ({ ...v, name: 'the cat' })) } },
      { ...guestRoom, room: { ...room, viewers: room.viewers!.map((v) => ({ ...v, eye: 1234 })) } },
      { ...guestRoom, units: 'metric' },
    ];
    const same = jobs.map((job) => by(job) === by(guestRoom));
    expect(same).toEqual(jobs.map((job) => words(job) === words(guestRoom)));
    expect(same).toEqual([true, false, false, false, true, false]);
  });
});

import { STEP_IDS, type Job, type Packed, type TolerancePlan } from '@steddo/contract';
import { plan, withKit } from '@steddo/core';
import { atticSnug, demoCatalogue, guestRoom, narrowboatCabin } from '@steddo/samples';
import {
  careLines,
  correctionAmount,
  correctionText,
  correctionWay,
  dayStepText,
  minutesText,
  openText,
  packText,
  poseLine,
  slackText,
  slideText,
  toleranceAdvice,
  wordingFor,
} from '../src';

const say = wordingFor(guestRoom);
const metric = wordingFor({ ...guestRoom, units: 'metric' });

describe('steps in words', () => {
  it.each(STEP_IDS)('%s says what is done and what to look at', (id) => {
    const { name, look } = dayStepText(id);
    expect(name).toMatch(/^[A-Z].{3,60}$/);
    expect(look).toMatch(/[.]$/);
  });
  it('name the arm hole, the leads and how many lift', () => {
    expect(dayStepText('fit.arms', { armHole: { at: 2, of: 3 } }).look).toContain('Hole 2 of 3 on both');
    expect(dayStepText('leads.hooked', { leads: 'power, signal' }).name).toBe(
      'Plug in while it is hooked: power, signal',
    );
    expect(dayStepText('hang.lift', { people: 2 }).name).toMatch(/^Two lift/);
  });
  it('minutes as they are said', () => {
    expect([40, 60, 130].map(minutesText)).toEqual(['40 min', '1 h', '2 h 10 min']);
  });
});

describe('what is left, in words', () => {
  it('a lead: to spare, short, or at least so long', () => {
    const lead = { ...plan(guestRoom).leads![0]!, needed: 1500 };
    expect(slackText({ ...lead, slack: 250 }, metric)).toBe('250 mm to spare');
    expect(slackText({ ...lead, slack: -30 }, metric)).toBe('30 mm short');
    const { slack: _, ...unknown } = lead;
    expect(slackText(unknown, metric)).toBe('at least 1500 mm');
  });
  it('a slide: to which side, and whether the mount gives it', () => {
    const hang = { ...plan(guestRoom).hang!, slide: 20, fits: true };
    expect(slideText(hang, metric)).toBe('slide 20 mm to the right');
    expect(slideText({ ...hang, slide: -20, fits: false }, metric)).toContain(
      '20 mm to the left: more than the mount slides',
    );
    expect(slideText({ ...hang, slide: 0.2 }, metric)).toContain('nothing to slide');
  });
  it('a correction: which end, how much, what it leaves', () => {
    const shim = { kind: 'shim', where: 'left', by: 1.7, unit: 'mm', sheets: 17, left: 0.14, fits: true } as const;
    expect([correctionText(shim), correctionAmount(shim), correctionWay(shim)]).toEqual([
      'raise the left end',
      '17 sheets, 1.7 mm',
      'with paper between hook and rail, 0.1 mm left over the set',
    ]);
    const screw = { kind: 'screw', where: 'left', by: 0.6, unit: 'turn', limit: 6.4, left: 0, fits: true } as const;
    expect([correctionAmount(screw), correctionWay(screw)]).toEqual([
      '0.6 turns',
      'with the levelling screws: within 6.4 turns',
    ]);
    expect(correctionText({ ...shim, kind: 'drop', where: 'right' })).toBe('let down the right end');
  });
  it('open points each in a line', () => {
    expect(openText({ what: 'step', id: 'hang.lock', text: 'left one' })).toBe(
      'Turn in the locking screws by hand: left one',
    );
    expect(openText({ what: 'lead', id: 'l1', text: 'signal' })).toBe('What the signal lead is for comes later.');
    expect(openText({ what: 'note', text: 'paint' })).toBe('paint');
  });
  it('the pack list, sizes and spares', () => {
    const item = (p: Partial<Packed>): Packed => ({
      id: 'pack.x',
      what: 'tool',
      kind: 'level',
      count: 1,
      spare: 0,
      from: 'kit',
      done: false,
      ...p,
    });
    expect(packText(item({}), metric)).toBe('level');
    expect(packText(item({ what: 'screw', kind: 'M6', count: 4, spare: 1, length: 12 }), metric)).toBe(
      '4 screws M6 x 12 for the set, and 1 to spare',
    );
    expect(packText(item({ what: 'lead', kind: 'power', length: 2000 }), metric)).toBe('power lead, 2000 mm or longer');
  });
});

describe('the pose and the care', () => {
  it('a tilt mount looks down at the pillow; an arm turns to the seat that counts most', () => {
    // the viewers look up at the set, so that its top leans out
    expect(poseLine(guestRoom, plan(guestRoom), say)).toBe('Tilted 14.7° down.');
    const [first, second] = atticSnug.room.viewers!;
    const heavy: Job = {
      ...atticSnug,
      room: {
        ...atticSnug.room,
        viewers: [
          { ...first!, weight: 1 },
          { ...second!, weight: 5 },
        ],
      },
    };
    expect(poseLine(heavy, plan(heavy), wordingFor(heavy))).toContain(`For ${second!.name}`);
  });
  it('an arm is folded, in a vehicle for travel too, a mount with cords says how it comes down', () => {
    expect(careLines(atticSnug, plan(atticSnug), say).join(' ')).toContain('Fold the arm flat when nobody watches.');
    const driven = withKit(narrowboatCabin, demoCatalogue);
    expect(careLines(driven, plan(driven), say).join(' ')).toContain('for travel and when nobody watches.');
    const corded: Job = { ...guestRoom, mount: { ...guestRoom.mount!, latch: 'cord' } };
    const lines = careLines(corded, plan(corded), say).join(' ');
    expect(lines).toContain('pull both cords');
    expect(lines).not.toContain('Fold the arm');
  });
});

describe('what matters most', () => {
  const base: TolerancePlan = {
    draws: 1,
    seed: 1,
    allLand: 0.88,
    over3: 0.07,
    withinPlay: 0.8,
    height: 2,
    centring: 1,
    level: 5,
    sources: [
      { id: 'drill', allLand: 0.9, over3: 0.01, height: 1 },
      { id: 'finder', allLand: 0.97, over3: 0.07, height: 2 },
    ],
  };
  it('one more poke where that helps, else the error that costs most', () => {
    expect(toleranceAdvice({ ...base, poke: { stud: 0, x: 1203, allLand: 0.97 } }, metric)).toBe(
      'Poke near 1203 mm from the left once more, to that stud’s edge: 88 → 97 in 100.',
    );
    expect(toleranceAdvice(base, metric)).toMatch(/^Where the studs are matters most: poke an edge once more/);
    const sure = { ...base, allLand: 0.97 };
    expect(toleranceAdvice(sure, metric)).toMatch(/^For the level the drill matters most/);
    expect(toleranceAdvice({ ...sure, over3: 0.01 }, metric)).toBeUndefined();
  });
});

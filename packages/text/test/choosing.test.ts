import type { Advice, Height, Misfit } from '@steddo/contract';
import { comparedOf, plan, rankMounts, withKit } from '@steddo/core';
import { atticSnug, demoCatalogue, guestRoom } from '@steddo/samples';
import {
  COMPARED_ROWS,
  adviceText,
  comfortText,
  distanceRule,
  findingText,
  fitText,
  itemName,
  measuredName,
  misfitText,
  offerTitle,
  rankedLine,
  wordingFor,
  screwName,
  washersText,
} from '../src';

const say = wordingFor(atticSnug);
const metric = wordingFor({ ...atticSnug, units: 'metric' });
const angle = (viewer: string, fromRest: number): Height['angles'][number] => ({
  viewer,
  centre: fromRest,
  top: fromRest,
  bottom: fromRest,
  fromRest,
});

describe('screws in words', () => {
  const long: Misfit = { thread: 'M6', length: 30, why: 'long', by: 12.9, turns: 12.9, washers: [1.6], spacer: 0 };
  it.each<[Misfit, string]>([
    [long, 'too long by 12.9 mm (12.9 turns) even with washer 1.6 mm: it would bottom out'],
    [
      { ...long, washers: [], spacer: 10 },
      'too long by 12.9 mm (12.9 turns) even with spacer 10 mm: it would bottom out',
    ],
    [{ ...long, why: 'short', by: 2.54, turns: 2.03, washers: [] }, 'too short by 2.5 mm (2 turns): it would pull out'],
    [{ thread: 'M8', length: 20, why: 'thread', washers: [], spacer: 0 }, 'wrong thread for this insert'],
  ])('why one does not serve: %#', (misfit, text) => {
    expect(misfitText(misfit)).toBe(text);
  });
  it('names a screw and what goes under its head', () => {
    expect(screwName({ thread: 'M8', length: 16.5 })).toBe('M8 x 16.5');
    expect(washersText({ washers: [1.6, 2], spacer: 10 })).toBe('washer 1.6 mm, washer 2 mm, spacer 10 mm');
    expect(washersText({ washers: [], spacer: 0 })).toBe('nothing under its head');
  });
});

describe('mounts in words', () => {
  it.each<[Advice, string]>([
    [
      { type: 'full-motion', across: -33.52, viewer: 'v2' },
      'The seats ask for full motion: the rower is 33.5° to the side.',
    ],
    [
      { type: 'tilt', across: 8, viewer: 'v1', tiltNeeded: 9.04 },
      'The seats ask for tilt: 9° of it would face them, and nobody sits more than 8° to the side.',
    ],
    [{ type: 'tilt', tiltNeeded: -6 }, 'The seats ask for tilt: 6° of it would face them.'],
    [
      { type: 'fixed', across: 3, viewer: 'v1' },
      'A fixed mount serves the seats: nobody sits more than 3° to the side.',
    ],
    [{ type: 'fixed', tiltNeeded: 2 }, 'A fixed mount serves the seats: 2° of tilt is too little to miss.'],
  ])('advice: %#', (advice, text) => {
    expect(adviceText(advice, say)).toBe(text);
  });
  it('side by side in the units of the job, a dash where the label is silent', () => {
    const label = demoCatalogue.mounts.find((m) => !m.plate && !m.tilt)!;
    const of = (name: string, s = say) =>
      COMPARED_ROWS.find((r) => r.name === name)!.text(comparedOf(label, 10, rankMounts([label], atticSnug)[0]!), s);
    expect(of('tilts down')).toBe('–');
    expect(of('off the wall, folded', metric)).toBe(`${label.depth.folded} mm`);
    expect(of('mass to spare', metric)).toBe(`${label.maxMass - 10} kg`);
    expect(of('its fixings have')).toBe('–');
    expect(new Set(COMPARED_ROWS.map((r) => r.name)).size).toBe(COMPARED_ROWS.length);
  });
  it('a row of the list says what it has to spare or lacks, its studs and its load; studs only where there are some', () => {
    const mounts = ['louvre-2', 'pintle-1', 'pintle-4'].map((id) => demoCatalogue.mounts.find((m) => m.id === id)!);
    const line = (at: number, onStuds = true) => {
      const [ranked] = rankMounts([mounts[at]!], withKit(guestRoom, demoCatalogue));
      return rankedLine(ranked!, mounts[at]!, onStuds, metric);
    };
    // 40 kg rated, 8.6 hung; patterns from 100 x 100
    expect(line(0)).toMatch(/^carries it with 31\.4 kg to spare · pattern fits .* · 2 studs · fixings at \d+ %$/);
    expect(line(0, false)).not.toContain('stud');
    expect(line(1)).toContain(' · 1 stud · ');
    // made for sets from 55 in: 55 less 43, in mm
    expect(line(2)).toMatch(/^305 mm under its smallest size/);
  });
  it('every rule of every demo mount has its sentence, in either unit', () => {
    const { ranking } = plan(withKit(atticSnug, demoCatalogue), { mounts: demoCatalogue.mounts });
    for (const r of ranking!.flatMap((m) => m.reasons))
      for (const s of [say, metric]) {
        expect(fitText(r, s)).not.toMatch(/undefined|NaN|null|\[object/);
        expect(fitText(r, s).length).toBeGreaterThan(4);
      }
  });
});

describe('heights in a customer’s words', () => {
  it('numbers stay out of it; who looks far up or down is told', () => {
    expect(comfortText([], atticSnug)).toBe('Where everybody sits has not been measured yet.');
    expect(comfortText([angle('v1', 2), angle('v2', -4)], atticSnug)).toBe('Everybody looks straight at it.');
    expect(comfortText([angle('v1', 2), angle('v2', 8)], atticSnug)).toBe(
      'The rower looks a little up. Comfortable for everybody.',
    );
    expect(comfortText([angle('v1', 18), angle('v2', -16)], atticSnug)).toBe(
      'For the sofa that is a long way up. For the rower that is a long way down: tiring in a long film.',
    );
  });
  it('offers are numbered for pointing at', () => {
    expect([offerTitle(0, 'eyes'), offerTitle(2, 'chosen')]).toEqual(['1: at eye height', '3: as it is now']);
  });
});

describe('names', () => {
  it.each([
    ['hook', /hook/],
    ['plate-top', /top/],
    ['row:0', /1|lowest|row/],
  ])('of what was measured to: %s', (to, words) => {
    expect(measuredName(to)).toMatch(words);
    expect(measuredName(to)).not.toContain(':');
  });
  it('every kind of thing and every rule of distance has one of its own', () => {
    const kinds = [
      'outlet',
      'switch',
      'furniture',
      'cabinet',
      'shelf',
      'mantel',
      'curtain',
      'door',
      'soundbar',
      'other',
    ] as const;
    expect(new Set(kinds.map(itemName)).size).toBe(kinds.length);
    expect(new Set(Object.values(distanceRule)).size).toBe(4);
  });
  it('a conflict names both things and the least that gives way', () => {
    const o1 = guestRoom.room.objects![0]!;
    const low = { ...o1, left: 0, right: 3657, top: 1500 };
    const shelf = { id: 's', kind: 'cabinet' as const, left: 0, right: 3657, bottom: 2000, top: 2387 };
    const job = { ...guestRoom, room: { ...guestRoom.room, objects: [low, shelf] } };
    const found = plan(job).findings.find((f) => f.code === 'height-conflict')!;
    const text = findingText(found, wordingFor(job));
    expect(text).toContain('tallboy');
    expect(text).toContain('cabinet');
    // 552.45 tall in 500: 52.45 mm, 2 1/16 in
    expect(text).toContain('2 1/16 in');
  });
});

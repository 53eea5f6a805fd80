import type { Item, Job } from '@steddo/contract';
import { plan } from '@steddo/core';
import { guestRoom } from '@steddo/samples';
import {
  edgesOf,
  faceScene,
  fitView,
  namedThings,
  overlap,
  placeLabels,
  placeNames,
  type LabelSet,
  type NameRules,
  type PxBox,
} from '../src';

/** A phone's drawing in the hand. */
const PANE = { width: 390, height: 300 };
const NAME = { charPx: 6.6, heightPx: 16 };
const TAPE = { charPx: 8.4, heightPx: 24 };
const KINDS = ['outlet', 'switch', 'shelf', 'window', 'furniture', 'vent', 'pipe', 'other'] as const;

/** The same walls each time: a number from two others, 0 to 1. */
const mixed = (wall: number, i: number): number => ((((wall * 7919 + i * 104729) % 9973) * 7907) % 9973) / 9973;

/** Eleven things of all sizes about the set, which may overlap, and three people's eyes. */
function crowded(wall: number): Job {
  const objects = Array.from({ length: 11 }, (_, i): Item => {
    const [a, b, c, d] = [0, 1, 2, 3].map((k) => mixed(wall, i * 4 + k)) as [number, number, number, number];
    const left = Math.round(300 + a * 2600);
    const bottom = Math.round(100 + b * 1900);
    const kind = KINDS[(wall + i) % KINDS.length]!;
    return {
      id: `o${i}`,
      kind,
      name: i % 3 === 0 ? `${kind} by the window` : kind,
      left,
      right: left + Math.round(70 + c * (i % 4 === 0 ? 700 : 120)),
      bottom,
      top: bottom + Math.round(70 + d * (i % 4 === 0 ? 400 : 100)),
    };
  });
  const viewers = [1100, 1160, 1500].map((eye, i) => ({ id: `v${i}`, name: `seat ${i}`, eye, distance: 2600 }));
  return { ...guestRoom, room: { ...guestRoom.room, objects, viewers } };
}

const walls = Array.from({ length: 12 }, (_, wall) => wall);
const planned = walls.map((wall) => {
  const job = crowded(wall);
  return { job, made: plan(job) };
});

function laidOut(wall: number, labels: LabelSet) {
  const { job, made } = planned[wall]!;
  const scene = faceScene(job, made, labels);
  const view = fitView(labels === 'none' ? scene.bounds : scene.focus, { ...PANE, padPx: 16 });
  const tape = placeLabels(scene.labels, { view: PANE, keepClear: [], toPx: view.toPx, ...TAPE });
  const things = namedThings(scene.shapes, view).filter(
    ({ box: b }) => b.x < PANE.width && b.y < PANE.height && b.x + b.width > 0 && b.y + b.height > 0,
  );
  const rules: NameRules = { ...NAME, view: PANE, taken: tape, edges: edgesOf(scene.shapes, view) };
  return { things, rules, names: placeNames(things, rules) };
}

const inside = (b: PxBox) => b.x >= 0 && b.y >= 0 && b.x + b.width <= PANE.width && b.y + b.height <= PANE.height;

describe('names on twelve crowded walls', () => {
  it.each(walls)('wall %i: on no edge, no tape and no other name, inside the drawing', (wall) => {
    for (const labels of ['none', 'heights'] as const) {
      const { names, rules } = laidOut(wall, labels);
      names.forEach((name, i) => {
        expect([name.name, inside(name)]).toEqual([name.name, true]);
        for (const other of [...rules.edges, ...rules.taken, ...names.slice(i + 1)])
          expect([name.name, overlap(name, other) ? other : 'clear']).toEqual([name.name, 'clear']);
      });
    }
  });
  it('the whole wall names nine in ten of its things, those in a crowd by a leader that ends at them', () => {
    let [all, named, led] = [0, 0, 0];
    for (const wall of walls) {
      const { things, names } = laidOut(wall, 'none');
      all += things.length;
      named += names.length;
      for (const { id, leader } of names) {
        if (!leader) continue;
        led += 1;
        const { box } = things.find((t) => t.id === id)!;
        expect(leader.to.x).toBeGreaterThanOrEqual(box.x - 1e-9);
        expect(leader.to.x).toBeLessThanOrEqual(box.x + box.width + 1e-9);
      }
    }
    expect(all).toBe(12 * 14);
    expect(named / all).toBeGreaterThan(0.9);
    expect(led).toBeGreaterThan(12);
  });
  it('a name that fits its thing stays in it; one beside it is not pushed away while there is room', () => {
    const rules = { ...NAME, view: PANE, taken: [], edges: [] };
    const box = { x: 100, y: 100, width: 120, height: 60 };
    const [wide] = placeNames([{ id: 'a', name: 'window', shape: 'area', box }], rules);
    expect(wide!.x).toBeGreaterThan(100);
    expect(wide!.y + wide!.height).toBeLessThan(160);
    const [small] = placeNames([{ id: 'b', name: 'outlet', shape: 'area', box: { ...box, width: 12 } }], rules);
    expect(small!.leader).toBeUndefined();
    expect(small!.y + small!.height).toBeLessThanOrEqual(100);
  });
  it('what finds no room is left out, and nothing else with it', () => {
    const full = { x: 0, y: 0, width: 390, height: 250 };
    const rules = { ...NAME, view: PANE, taken: [full], edges: [] };
    const at = (id: string, y: number) => ({
      id,
      name: id,
      shape: 'area' as const,
      box: { x: 190, y, width: 8, height: 8 },
    });
    expect(placeNames([at('lost', 20), at('found', 270)], rules).map((n) => n.id)).toEqual(['found']);
  });
});

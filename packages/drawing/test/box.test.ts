import { plan, withKit } from '@steddo/core';
import { demoCatalogue, hallwayNiche, narrowboatCabin } from '@steddo/samples';
import { boxScene, faceScene, sectionScene, sideScene, type Scene } from '../src';

/* A box in the wall, two brackets beside it, and a vehicle's skin: every line of them is a number of the plan. */

const rectOf = (scene: Scene, id: string) => scene.shapes.find((s) => s.kind === 'rect' && s.id === id);

describe('a box that is to be let in', () => {
  const p = plan(hallwayNiche);
  const { cut, first, bay } = p.recess!;
  const edges = { left: cut.left, right: cut.right, bottom: cut.bottom, top: cut.top };

  it('is drawn on the face, its first cut inside it, and from the side as deep as it goes', () => {
    const face = faceScene(hallwayNiche, p, 'studs');
    expect(rectOf(face, 'box-cut')).toMatchObject({ role: 'cut-out', ...edges });
    expect(rectOf(face, 'first-cut')).toMatchObject({ left: first.left, right: first.right, role: 'asked' });
    const side = sideScene(hallwayNiche, p);
    expect(rectOf(side, 'box-in-wall')).toMatchObject({ left: -85, right: 0, bottom: 1180, top: 1620 });
  });

  it('once it is sawn it is open, and the small cut is gone in it', () => {
    const sawn = plan({ ...hallwayNiche, ticks: [{ step: 'box.saw' }] });
    const face = faceScene(hallwayNiche, sawn, 'studs');
    expect(rectOf(face, 'box-cut')).toMatchObject({ role: 'open', ...edges });
    expect(rectOf(face, 'first-cut')).toBeUndefined();
  });

  it('at the wall shows what is in the hand: the small cut, the tape to both faces, the outline', () => {
    const texts = (of: 'first' | 'faces' | 'outline') => boxScene(hallwayNiche, p, of)!.labels.map((l) => l.text);
    expect(texts('first')).toEqual(['46 1/8 in from the left', '53 5/8 in up']);
    expect(texts('outline')).toEqual(['41 in from the left', '46 7/16 in up']);
    const { shapes, bounds } = boxScene(hallwayNiche, p, 'faces')!;
    expect(shapes.find((s) => s.id === 'to-left-face')).toMatchObject({ x1: first.left, x2: bay!.left });
    expect(shapes.find((s) => s.id === 'to-right-face')).toMatchObject({ x1: first.right, x2: bay!.right });
    // both studs of the bay are in view
    expect(bounds.left).toBeLessThan(bay!.left - 38);
    expect(boxScene(narrowboatCabin, plan(narrowboatCabin), 'first')).toBeUndefined();
  });
});

describe('a thin wall', () => {
  const job = withKit(narrowboatCabin, demoCatalogue);
  const p = plan(job);

  it('has its skin in the section, as far behind the point as the plan says', () => {
    const scene = sectionScene(job, p)!;
    const skin = scene.shapes.find((s) => s.kind === 'rect' && s.role === 'skin');
    const shank = rectOf(scene, 'shank-h1');
    if (skin?.kind !== 'rect' || shank?.kind !== 'rect') throw new Error('not drawn');
    expect(skin.left).toBe(-52);
    expect(shank.left - skin.left).toBeCloseTo(p.vehicle!.tip!, 9);
    expect(rectOf(scene, 'bore-h1')).toMatchObject({ left: -17 });
    expect(scene.labels.map((l) => l.text)).toContain('35 mm to the skin');
  });

  it('shows its backing, and what of it is sure', () => {
    const face = faceScene(job, p, 'studs');
    expect(rectOf(face, 'backing-taped')).toMatchObject({ left: 720, right: 1130, bottom: 850, top: 1170 });
    expect(rectOf(face, 'backing-sure')).toMatchObject({ left: 724, right: 1126, bottom: 854, top: 1166 });
  });
});

import { plan } from '@steddo/core';
import { guestRoom } from '@steddo/samples';
import { drillScene } from '../src';

describe('the plate for one hole after the other', () => {
  const made = plan(guestRoom);
  it('shows every hole where the plan has it, and rings the one in hand', () => {
    const scene = drillScene(guestRoom, made, 'h2');
    const crosses = scene.shapes.filter((s) => s.kind === 'cross');
    expect(crosses.map((c) => [c.id, c.x, c.y])).toEqual(made.holes!.map((h) => [h.id, h.x, h.y]));
    const ring = scene.shapes.find((s) => s.id === 'now');
    expect(ring).toMatchObject({ x: made.holes![1]!.x, y: made.holes![1]!.y });
    expect(drillScene(guestRoom, made, undefined).shapes.some((s) => s.id === 'now')).toBe(false);
  });
  it('says the first hole from the floor, the others from it', () => {
    const text = (id: string) => drillScene(guestRoom, made, id).labels[0]!.text;
    expect(text('h1')).toMatch(/ up$/);
    expect(text('h2')).toMatch(/ along$/);
    expect(text('h3')).toMatch(/ below$/);
    expect(text('h4')).toMatch(/ below, .* along$/);
  });
  it('marks what was spoiled, and what is done as done', () => {
    const [first, second] = made.holes!;
    const drilled = [
      { hole: 'h1', x: first!.x, y: first!.y, result: 'good' as const, into: 'stud' as const },
      { hole: 'h2', x: second!.x, y: second!.y, result: 'broken' as const, into: 'stud' as const },
    ];
    const job = { ...guestRoom, drilled };
    const scene = drillScene(job, plan(job), undefined);
    expect(scene.shapes.find((s) => s.id === 'h1')).toMatchObject({ state: 'go' });
    expect(scene.shapes.filter((s) => s.id.startsWith('spoiled'))).toMatchObject([{ x: second!.x, y: second!.y }]);
  });
});

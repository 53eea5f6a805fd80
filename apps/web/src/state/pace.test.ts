/** @jest-environment node */
import { guestRoom } from '@steddo/samples';
import { plan } from '@steddo/core';
import { Pace } from './pace';
import { Planner } from './planner';
import { RoomSession } from './roomSession';

/** Frames that come when the test says so. */
function stillFrames() {
  const after: (() => void)[] = [];
  const within: (() => void)[] = [];
  const run = (all: (() => void)[]) => all.splice(0).forEach((work) => work());
  return {
    frames: { afterFrame: (w: () => void) => void after.push(w), inFrame: (w: () => void) => void within.push(w) },
    made: () => run(after),
    drawn: () => run(within),
    waiting: () => after.length + within.length,
  };
}

function bench() {
  const still = stillFrames();
  const said: string[] = [];
  const state = { at: 0 };
  const pace = new Pace(() => {
    const { at } = state;
    said.push(`made ${at}`);
    return () => said.push(`drawn ${at}`);
  }, still.frames);
  const move = (at: number) => {
    state.at = at;
    pace.ask();
  };
  return { ...still, pace, said, move };
}

describe('what follows a finger', () => {
  it('is made in one frame and drawn in the next, and of many moves the last', () => {
    const b = bench();
    b.move(1);
    b.move(2);
    b.move(3);
    expect(b.said).toEqual([]);
    b.made();
    expect(b.said).toEqual(['made 3']);
    b.drawn();
    expect(b.said).toEqual(['made 3', 'drawn 3']);
    expect(b.waiting()).toBe(0);
  });
  it('comes to rest at the last move, however many came while one was on its way', () => {
    const b = bench();
    b.move(1);
    b.made();
    b.move(2);
    b.move(3);
    b.drawn();
    b.made();
    b.drawn();
    expect(b.said).toEqual(['made 1', 'drawn 1', 'made 3', 'drawn 3']);
    expect(b.waiting()).toBe(0);
  });
  it('comes too late once something else is shown', () => {
    const b = bench();
    b.move(1);
    b.made();
    b.pace.drop();
    b.drawn();
    b.move(2);
    b.pace.drop();
    b.made();
    b.drawn();
    expect(b.said).toEqual(['made 1']);
    b.move(3);
    b.made();
    b.drawn();
    expect(b.said).toEqual(['made 1', 'made 3', 'drawn 3']);
  });
});

describe('a drag in an open room', () => {
  const at = (y: number) => ({ do: 'put' as const, path: 'choices.centreY' as const, value: y });
  function openRoom() {
    const still = stillFrames();
    const planned: (number | undefined)[] = [];
    const planner = new Planner(undefined, {
      here: () => (job) => {
        planned.push(job.choices?.centreY);
        return plan(job);
      },
      comes: () => Promise.resolve(),
      first: () => undefined,
      apart: () => new Promise<never>(() => undefined),
      clock: () => 0,
      after: () => undefined,
    });
    const source = { id: 'r', document: guestRoom, kit: {}, readOnly: false };
    const doings = { dispatch: () => [], goTo: () => undefined };
    const session = new RoomSession(source, doings, planner, still.frames);
    const { store } = session;
    planned.length = 0;
    return { ...still, session, source, planned, store, shown: () => store.get().job.choices?.centreY };
  }
  it('plans once for moves that say the same, and ends at once where the finger goes up', () => {
    const r = openRoom();
    const before = r.shown();
    r.store.actions.preview(at(1600), 'paced');
    r.store.actions.preview(at(1600), 'paced');
    r.made();
    r.drawn();
    r.store.actions.preview(at(1600), 'paced');
    r.made();
    expect([r.planned, r.shown(), r.store.get().previewing]).toEqual([[1600], 1600, true]);
    r.store.actions.preview(at(1700), 'paced');
    r.made();
    r.store.actions.preview(undefined);
    expect([r.shown(), r.store.get().previewing]).toEqual([before, false]);
    // what was on its way is not drawn after all
    r.drawn();
    expect([r.shown(), r.store.get().previewing]).toEqual([before, false]);
  });
  it('that another tab has taken over meanwhile is not drawn as if it could be worked on', () => {
    const r = openRoom();
    r.store.actions.preview(at(1600), 'paced');
    r.made();
    r.session.update({ ...r.source, readOnly: true });
    r.drawn();
    expect([r.shown(), r.store.get().readOnly]).toEqual([1600, true]);
  });
  it('by a key is shown at once', () => {
    const r = openRoom();
    r.store.actions.preview(at(1600));
    expect(r.shown()).toBe(1600);
  });
});

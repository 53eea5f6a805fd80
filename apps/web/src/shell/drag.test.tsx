import { chooseHeight, type Command } from '@steddo/core';
import { guestRoom } from '@steddo/samples';
import { act, screen } from '@testing-library/react';
import { Canvas } from '../canvas/Canvas';
import { useActions } from '../state/roomState';
import type { RoomActions } from '../state/roomStore';
import { openRoom, settled } from '../testing/openRoom';
import { STAGE } from './stages';
import { StageStrip } from './StageStrip';
import { ThumbBar } from './ThumbBar';

jest.mock('../data/shared', () => jest.requireActual('../testing/memoryStore').memoryStore());
jest.mock('expo-router', () => ({ router: {} }));
jest.mock('../worker/catalogue', () => ({ catalogueWorker: () => undefined }));
jest.mock('../worker/wall', () => ({ wallWorker: () => undefined }));
jest.mock('../worker/reach', () => ({ reachWorker: () => undefined }));

/** What an element may be of: a function, or one in a memo or behind a ref. */
interface Made {
  name?: string;
  displayName?: string;
  type?: { name?: string };
  render?: { name?: string };
}

/** Every element that is made is counted by the name of its component: what a component makes it has drawn anew. */
const mockMade = new Map<string, number>();
function mockCounted(runtime: Record<string, unknown>): Record<string, unknown> {
  const counting =
    (make: (type: unknown, ...rest: unknown[]) => unknown) =>
    (type: unknown, ...rest: unknown[]) => {
      const of = type as Made | string | undefined;
      const name =
        typeof of === 'string' ? of : (of?.displayName ?? of?.type?.name ?? of?.render?.name ?? of?.name ?? '');
      mockMade.set(name, (mockMade.get(name) ?? 0) + 1);
      return make(type, ...rest);
    };
  const wrapped = Object.entries(runtime).map(([key, value]) => [
    key,
    typeof value === 'function' ? counting(value as (type: unknown) => unknown) : value,
  ]);
  return Object.fromEntries(wrapped) as Record<string, unknown>;
}
jest.mock('react/jsx-runtime', () => mockCounted(jest.requireActual('react/jsx-runtime')));
jest.mock('react/jsx-dev-runtime', () => mockCounted(jest.requireActual('react/jsx-dev-runtime')));

/** A page with room for a drawing, which jsdom has not. */
beforeAll(() => {
  const box = { x: 0, y: 0, left: 0, top: 0, width: 390, height: 360 };
  Element.prototype.getBoundingClientRect = () => ({ ...box, right: 390, bottom: 360, toJSON: () => box });
  Object.defineProperties(HTMLElement.prototype, {
    offsetWidth: { value: box.width },
    offsetHeight: { value: box.height },
  });
  globalThis.ResizeObserver = class {
    constructor(private readonly told: ResizeObserverCallback) {}
    observe(target: Element) {
      setTimeout(() => this.told([{ target } as ResizeObserverEntry], this as unknown as ResizeObserver));
    }
    unobserve() {}
    disconnect() {}
  } as unknown as typeof ResizeObserver;
});

jest.setTimeout(60_000);

/** Everything that can be tapped, as it is drawn. */
const taps = () => [...document.querySelectorAll('[role=button], [role=radio], [role=tab]')].map((e) => e.outerHTML);

const STROKES = ['RectView', 'LineView', 'PolyView', 'AreaView', 'HoleView', 'circle'];
const strokes = () => STROKES.reduce((sum, name) => sum + (mockMade.get(name) ?? 0), 0);
const shapes = () => [...document.querySelectorAll('[data-testid=face] [data-shape]')].map((e) => e.outerHTML);

const made = (name: string) => mockMade.get(name) ?? 0;

/** A stage of the guest room with its drawing, tabs and bar, and a hand that shows what it has not done yet. */
async function stageInHand(stage: 'height' | 'room') {
  let actions: RoomActions | undefined;
  function Hand() {
    actions = useActions();
    return null;
  }
  const { body, views, labels } = STAGE[stage];
  const Body = await body.later.bring();
  openRoom(
    guestRoom,
    <>
      <Hand />
      <StageStrip stage={stage} />
      <Canvas stage={stage} views={views} labels={labels} movable wide={false} />
      <Body />
      <ThumbBar stage={stage} />
    </>,
  );
  // the drawing waits for its page to have a size, and a machine may be out of breath
  await screen.findByTestId('face', {}, { timeout: 30_000 });
  await settled();
  // they are counted by these names, and are there to be made anew
  for (const name of ['TouchableRipple', 'Button', 'ScrollView', 'Txt', 'Tab', 'Fold'])
    expect([name, made(name)]).not.toEqual([name, 0]);
  return async (command: Command) => {
    mockMade.clear();
    act(() => actions!.preview(command));
    await settled();
  };
}

describe('one move of a drag at the height', () => {
  it('draws anew what moves and the figures that change, and nothing else', async () => {
    const show = await stageInHand('height');
    expect(screen.getByTestId('face').querySelectorAll('[data-shape]').length).toBeGreaterThan(5);
    const first = strokes();
    const move = (y: number) => show(chooseHeight(guestRoom, y));
    await move(1500);
    const [before, shapesBefore] = [taps(), shapes()];
    await move(1506);
    const after = taps();
    expect(after).toHaveLength(before.length);
    const changed = after.filter((html, i) => html !== before[i]).length;
    expect(changed).toBeGreaterThanOrEqual(3);
    expect(changed).toBeLessThan(before.length / 2);
    // what has changed is made anew; tabs, rules, folds and actions are not
    expect(made('Tap')).toBe(changed);
    expect([made('Tab'), made('HeightRuleRow'), made('Fold'), made('Button'), made('ViewTab')]).toEqual([
      0, 0, 0, 0, 0,
    ]);
    // of the drawing just the shapes that are drawn otherwise now
    const shapesNow = shapes();
    const redrawn = shapesNow.filter((html, i) => html !== shapesBefore[i]).length;
    expect(redrawn).toBeGreaterThan(0);
    expect(redrawn).toBeLessThan(shapesNow.length);
    // a shape may be several strokes
    expect(strokes()).toBeLessThanOrEqual(2 * redrawn);
    expect(strokes()).toBeLessThan(first / 2);
  });
});

describe('one move of a thing on the wall', () => {
  it('makes no field, choice or action anew whose words stay', async () => {
    const show = await stageInHand('room');
    const { id, left, right } = guestRoom.room.objects![0]!;
    const path = `room.objects.${id}` as const;
    const move = (by: number) =>
      show({
        do: 'all',
        commands: [
          { do: 'put', path: `${path}.left`, value: left + by },
          { do: 'put', path: `${path}.right`, value: right + by },
        ],
      });
    await move(10);
    const before = shapes();
    await move(20);
    const redrawn = shapes().filter((html, i) => html !== before[i]).length;
    expect(redrawn).toBeGreaterThan(0);
    expect(made('Txt')).toBeLessThan(12);
    expect([made('TouchableRipple'), made('Button'), made('ScrollView')]).toEqual([0, 0, 0]);
    expect(strokes()).toBeLessThanOrEqual(2 * redrawn);
  });
});

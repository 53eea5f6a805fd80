import type { Job } from '@steddo/contract';
import { guestRoom } from '@steddo/samples';
import { act, screen } from '@testing-library/react';
import type { View as SceneView } from '@steddo/drawing';
import { useJob } from '../state/roomState';
import { openRoom } from '../testing/openRoom';
import { ItemHandles } from './ItemHandles';
import { wallMovables } from './movables';

jest.mock('../data/shared', () => jest.requireActual('../testing/memoryStore').memoryStore());
jest.mock('expo-router', () => ({ router: {} }));

/** A tenth of a pixel for a millimetre, up the page. */
const view = { scale: 0.1, across: 1, toPx: (x: number, y: number) => ({ x: x / 10, y: -y / 10 }) } as SceneView;

function OnTheWall() {
  const job = useJob((j) => j);
  return <ItemHandles view={view} movables={wallMovables(job)} fixed={[]} />;
}

/** The frames that a drag is shown in come and go. */
const framesPass = () => act(async () => await new Promise((resolve) => setTimeout(resolve, 100)));
/** What jsdom has of a pointer: a mouse's place under a pointer's name. */
const point = (handle: HTMLElement, type: string, clientX: number) =>
  act(() => void handle.dispatchEvent(new MouseEvent(type, { bubbles: true, clientX, clientY: 0 })));

describe('a thing that is dragged', () => {
  beforeAll(() => {
    HTMLElement.prototype.setPointerCapture = () => undefined;
  });
  // an odd and an even number of frames: what is shown in one is what the next is told by
  it.each([1, 2, 3])('is a guess no more, in however many frames it was shown on its way (%i)', async (frames) => {
    const { id } = guestRoom.room.objects![0]!;
    const job: Job = {
      ...guestRoom,
      guessed: [`room.objects.${id}.left`, `room.objects.${id}.bottom`, 'screen.mass'],
    };
    const room = openRoom(job, <OnTheWall />);
    const handle = screen.getByTestId(`item-${id}`);
    point(handle, 'pointerdown', 0);
    for (let i = 1; i <= frames; i++) {
      point(handle, 'pointermove', 10 * i);
      await framesPass();
    }
    point(handle, 'pointerup', 10 * frames);
    expect(room.job.guessed).toEqual(['screen.mass']);
    expect(room.job.room.objects![0]!.left).not.toBe(guestRoom.room.objects![0]!.left);
  });
});

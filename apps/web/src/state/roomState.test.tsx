import { Component, Suspense, useState, type ReactNode } from 'react';
import { act, render, screen } from '@testing-library/react';
import type { Job } from '@steddo/contract';
import { plan } from '@steddo/core';
import { guestRoom } from '@steddo/samples';
import { earlyPlanner } from '../testing/earlyPlanner';
import type { PlanHere } from './planHere';
import { RoomProvider, useJob, usePlan, useRoomContext } from './roomState';

const DOINGS = { dispatch: () => [], goTo: () => undefined };
const KIT = {};

describe('a part of an open room', () => {
  it('reads a field for the first time as it is now, not as it was when it last drew', () => {
    let drawn = 0;
    let look = () => {};
    function Part() {
      drawn += 1;
      const room = useRoomContext();
      const [open, setOpen] = useState(false);
      look = () => setOpen(true);
      return <p>{open ? `${room.job.screen.mass} kg` : room.id}</p>;
    }
    const part = <Part />;
    const room = (document: Job) => (
      <RoomProvider source={{ id: 'r1', document, kit: KIT, readOnly: false }} doings={DOINGS}>
        {part}
      </RoomProvider>
    );
    const { rerender } = render(room(guestRoom));
    rerender(room({ ...guestRoom, screen: { ...guestRoom.screen, mass: 31 } }));
    // it has read the id alone, so that another mass is no reason to draw
    expect([drawn, screen.queryByText('r1') !== null]).toEqual([1, true]);
    act(() => look());
    expect(screen.queryByText('31 kg')).not.toBeNull();
  });

  it('that reads the plan waits for the first one, and its neighbours do not', async () => {
    let come = () => {};
    let here: PlanHere | undefined;
    const planner = earlyPlanner({ here: () => here, comes: () => new Promise<void>((resolve) => (come = resolve)) });
    const Said = () => <p>{usePlan((p) => `verdict ${p.verdict}`)}</p>;
    const Mass = () => <p>{useJob((j) => `${j.screen.mass} kg`)}</p>;
    const parts = (
      <>
        <Suspense fallback={<p>being worked out</p>}>
          <Said />
        </Suspense>
        <Mass />
      </>
    );
    const room = (document: Job) => (
      <RoomProvider source={{ id: 'r1', document, kit: KIT, readOnly: false }} doings={DOINGS} planner={planner}>
        {parts}
      </RoomProvider>
    );
    const { rerender } = render(room(guestRoom));
    expect(screen.queryByText('being worked out')).not.toBeNull();
    const heavy = { ...guestRoom, screen: { ...guestRoom.screen, mass: 90 } };
    rerender(room(heavy));
    expect([screen.queryByText('90 kg') !== null, screen.queryByText(/^verdict/)]).toEqual([true, null]);
    here = plan;
    await act(async () => come());
    // of the room as it is by then: nothing holds ninety kilograms there
    expect(plan(guestRoom).verdict).not.toBe('stop');
    expect(await screen.findByText('verdict stop')).toBeTruthy();
  });
  it('whose room cannot be worked out at all gives up waiting, with the reason', async () => {
    jest.spyOn(console, 'error').mockImplementation(() => undefined);
    let tried = false;
    const planner = earlyPlanner({
      here: () => (tried ? broken : undefined),
      comes: () => Promise.resolve(void (tried = true)),
    });
    const broken = () => {
      throw new Error('a mistake of ours');
    };
    const Said = () => <p>{usePlan((p) => p.verdict)}</p>;
    render(
      <Caught>
        <RoomProvider
          source={{ id: 'r1', document: guestRoom, kit: KIT, readOnly: false }}
          doings={DOINGS}
          planner={planner}
        >
          <Said />
        </RoomProvider>
      </Caught>,
    );
    expect(await screen.findByText('a mistake of ours')).toBeTruthy();
  });
});

class Caught extends Component<{ children: ReactNode }, { message?: string }> {
  override state: { message?: string } = {};
  static getDerivedStateFromError = (error: Error) => ({ message: error.message });
  override render() {
    return this.state.message ? <p>{this.state.message}</p> : this.props.children;
  }
}

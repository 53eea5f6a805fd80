import { useState } from 'react';
import { act, render, screen } from '@testing-library/react';
import type { Job } from '@steddo/contract';
import { guestRoom } from '@steddo/samples';
import { RoomProvider, useRoomContext } from './roomState';

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
});

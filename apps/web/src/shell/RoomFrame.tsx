import { useEffect, useMemo, type ReactNode } from 'react';
import { View } from 'react-native';
import { router } from 'expo-router';
import type { Stage } from '@steddo/contract';
import type { Command } from '@steddo/core';
import type { RoomState } from '../data/rooms';
import { journal, rooms } from '../data/shared';
import { useKit } from '../state/useKit';
import { useEditTurn, useRoom, type EditTurn, type Opening } from '../data/useRoom';
import type { Planner } from '../state/planner';
import { RoomProvider } from '../state/roomState';
import { Action } from '../ui/Action';
import { usePalette } from '../ui/tokens';
import { Txt } from '../ui/Txt';
import { usePosture, type Posture } from '../ui/usePosture';
import { RoomTools } from './RoomTools';
import { SlowRoom } from './SlowRoom';
import { useFirstPlan } from './useFirstPlan';

export interface RoomParts {
  state: RoomState;
  turn: EditTurn;
  posture: Posture;
}

/** A room that is open: its document, plan and turn, for whatever page shows it. */
export function RoomFrame({ id, children }: { id: string; children: (parts: RoomParts) => ReactNode }) {
  const { state, opening } = useRoom(id);
  if (state && state.deletedAt === undefined)
    // another room has a planner of its own: nothing of the one before is ever its last good plan
    return (
      <OpenRoom key={state.id} state={state}>
        {children}
      </OpenRoom>
    );
  return <NoRoom opening={state?.deletedAt === undefined ? opening : 'deleted'} />;
}

const NO_ROOM: Record<Opening, string> = {
  opening: 'Opening the room…',
  found: 'Opening the room…',
  missing: 'There is no such room, here or on the server.',
  deleted: 'This room was taken away. For thirty days it can be taken back, under “this device” on the list of rooms.',
  'no-server': 'This room is not on this device, and the server cannot be reached.',
};

function NoRoom({ opening }: { opening: Opening }) {
  const palette = usePalette();
  const words = NO_ROOM[opening];
  return (
    <View style={{ flex: 1, padding: 24, gap: 16, backgroundColor: palette.ground }}>
      <Txt kind="title" level={1}>
        {words}
      </Txt>
      {opening === 'opening' ? null : <Action label="all rooms" onPress={() => router.replace('/')} />}
    </View>
  );
}

function OpenRoom({ state, children }: { state: RoomState; children: (parts: RoomParts) => ReactNode }) {
  const { id, job: document } = state;
  const first = useFirstPlan(id, document);
  if (first.is === 'ready')
    return (
      <PlannedRoom state={state} planner={first.planner}>
        {children}
      </PlannedRoom>
    );
  return <SlowRoom state={state} first={first} />;
}

function PlannedRoom({
  state,
  planner,
  children,
}: {
  state: RoomState;
  planner: Planner;
  children: (parts: RoomParts) => ReactNode;
}) {
  const { id, job: document } = state;
  const turn = useEditTurn(id);
  // drawn once: working it out came to an end
  useEffect(() => journal.end(id), [id]);
  const posture = usePosture();
  const kit = useKit();
  const doings = useMemo(
    () => ({
      dispatch: (command: Command) => rooms.dispatch(id, command),
      goTo: (next: Stage) => router.setParams({ stage: next }),
    }),
    [id],
  );
  return (
    <RoomProvider source={{ id, document, kit, readOnly: turn !== 'mine' }} doings={doings} planner={planner}>
      <RoomTools>{children({ state, turn, posture })}</RoomTools>
    </RoomProvider>
  );
}

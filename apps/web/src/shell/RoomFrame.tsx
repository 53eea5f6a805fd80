import { Suspense, useEffect, useMemo, type ReactNode } from 'react';
import { View } from 'react-native';
import { router } from 'expo-router';
import type { Stage } from '@steddo/contract';
import type { Command } from '@steddo/core';
import type { RoomState } from '../data/rooms';
import { journal, rooms } from '../data/shared';
import { useKit } from '../state/useKit';
import { useEditTurn, useRoom, type EditTurn, type Opening } from '../data/useRoom';
import type { Planner } from '../state/planner';
import { planning } from '../state/planning';
import { RoomProvider, usePlan } from '../state/roomState';
import { Action } from '../ui/Action';
import { useSoon, type Later } from '../ui/later';
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

interface FrameProps {
  /** What the page is made of and comes after it, in this order; shown together where that takes no longer than a moment. */
  parts?: readonly Later<unknown>[];
  children: (room: RoomParts) => ReactNode;
}

const PLAN_ALONE = [planning];

/** A room that is open: its document, plan and turn, for whatever page shows it. */
export function RoomFrame({ id, parts = PLAN_ALONE, children }: FrameProps & { id: string }) {
  const { state, opening } = useRoom(id);
  if (state && state.deletedAt === undefined)
    // another room has a planner of its own: nothing of the one before is ever its last good plan
    return (
      <OpenRoom key={state.id} state={state} parts={parts}>
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

function OpenRoom({ state, parts, children }: Required<FrameProps> & { state: RoomState }) {
  const { id, job: document } = state;
  const first = useFirstPlan(id, document);
  const soon = useSoon(parts);
  if (!soon) return <NoRoom opening="opening" />;
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
  children: (room: RoomParts) => ReactNode;
}) {
  const { id, job: document } = state;
  const turn = useEditTurn(id);
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
      <Suspense>
        <Planned id={id} />
      </Suspense>
    </RoomProvider>
  );
}

/** Working the room out came to an end. */
function Planned({ id }: { id: string }) {
  usePlan(() => undefined);
  useEffect(() => journal.end(id), [id]);
  return null;
}

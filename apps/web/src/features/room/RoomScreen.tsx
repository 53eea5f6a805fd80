import { useCallback, useMemo, useRef, useState, type ReactNode } from 'react';
import { View, useWindowDimensions } from 'react-native';
import { router } from 'expo-router';
import type { Job, Plan, Stage } from '@steddo/contract';
import { applyCommand, newMemory, plan as makePlan, tapeOf, withKit, type Command } from '@steddo/core';
import { wordingFor } from '@steddo/text';
import type { RoomState } from '../../data/rooms';
import { CanvasProvider } from '../../canvas/CanvasContext';
import { ArmProvider } from '../reach/ArmContext';
import { WallProvider } from '../wall/WallContext';
import { rooms } from '../../data/shared';
import { useKit } from '../../data/useKit';
import { useEditTurn, useRoom, type EditTurn } from '../../data/useRoom';
import { PadProvider } from '../../pad/PadContext';
import { Action } from '../../ui/Action';
import { usePalette, wideFrom } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { WorkingProvider } from '../../work/WorkingContext';
import { RoomContextProvider, type RoomContextValue } from './RoomContext';
import { RoomLayout } from './RoomLayout';
import type { BuiltStage } from './stages';

/** One room at one stage: loads it, plans it, and hands it to the layout. */
export function RoomScreen({ id, stage }: { id: string; stage: BuiltStage }) {
  return (
    <RoomFrame id={id}>
      {({ state, late, turn, wide }) => <RoomLayout stage={stage} state={state} wide={wide} late={late} turn={turn} />}
    </RoomFrame>
  );
}

export interface RoomParts {
  state: RoomState;
  late: boolean;
  turn: EditTurn;
  wide: boolean;
}

/** A room that is open: its document, plan and turn, for whatever page shows it. */
export function RoomFrame({ id, children }: { id: string; children: (parts: RoomParts) => ReactNode }) {
  const { state, opening } = useRoom(id);
  if (state) return <OpenRoom state={state}>{children}</OpenRoom>;
  return <NoRoom opening={opening} />;
}

function NoRoom({ opening }: { opening: string }) {
  const palette = usePalette();
  const words =
    opening === 'opening'
      ? 'Opening the room…'
      : opening === 'missing'
        ? 'There is no such room, here or on the server.'
        : 'This room is not on this device, and the server cannot be reached.';
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
  const { id } = state;
  const turn = useEditTurn(id);
  const { width } = useWindowDimensions();
  const [previewed, preview] = useState<Command>();
  const kit = useKit();
  const job = useMemo(
    () => withKit(previewed ? applyCommand(state.job, previewed).job : state.job, kit),
    [state.job, previewed, kit],
  );
  const { plan, late } = usePlan(job);
  const dispatch = useCallback((command: Command) => rooms.dispatch(id, command), [id]);
  const goTo = useCallback((next: Stage) => router.setParams({ stage: next }), []);
  const value = useMemo<RoomContextValue>(
    () => ({
      id,
      job,
      plan,
      say: wordingFor(job),
      tape: tapeOf(job.units),
      readOnly: turn !== 'mine',
      dispatch,
      preview,
      goTo,
    }),
    [id, job, plan, turn, dispatch, goTo],
  );
  return (
    <RoomContextProvider value={value}>
      <WorkingProvider>
        <PadProvider>
          <CanvasProvider>
            <ArmProvider>
              <WallProvider>{children({ state, late, turn, wide: width >= wideFrom })}</WallProvider>
            </ArmProvider>
          </CanvasProvider>
        </PadProvider>
      </WorkingProvider>
    </RoomContextProvider>
  );
}

/** The plan of a job; while a job cannot be planned the last good one stays, and is said to be late. */
function usePlan(job: Job): { plan: Plan; late: boolean } {
  const last = useRef<Plan | undefined>(undefined);
  const [memory] = useState(newMemory);
  return useMemo(() => {
    try {
      last.current = makePlan(job, { memory });
      return { plan: last.current, late: false };
    } catch (error) {
      if (!last.current) throw error;
      return { plan: last.current, late: true };
    }
  }, [job, memory]);
}

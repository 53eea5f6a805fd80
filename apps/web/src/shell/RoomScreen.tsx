import { useEffect, useMemo } from 'react';
import { planning } from '../state/planning';
import type { BuiltStage } from '../state/stageIds';
import { inOrder } from '../ui/later';
import { useNextPages } from '../ui/pages';
import { LaterCanvas } from './LaterCanvas';
import { RoomFrame } from './RoomFrame';
import { RoomLayout } from './RoomLayout';
import { BODIES, STAGE } from './stages';

/** Where the stages lead: small, and not to be waited for on a ladder. */
const AT_THE_WALL = ['ladder', 'hanging', 'day', 'done'];

/** What is worked out and drawn comes after what is entered, and the other stages' inputs after that. */
const AFTER_INPUTS = [planning, LaterCanvas.later];

/** All that comes after a room's page, for whoever will open one. */
export const bringRoom = (): Promise<void> => inOrder([...AFTER_INPUTS, ...BODIES]);

/** One room at one stage: loads it, plans it, and hands it to the layout; in the end every stage is there. */
export function RoomScreen({ id, stage }: { id: string; stage: BuiltStage }) {
  useNextPages(AT_THE_WALL.map((page) => `/room/${id}/${page}`));
  const parts = useMemo(() => [STAGE[stage].body.later, ...AFTER_INPUTS], [stage]);
  useEffect(() => void inOrder(parts).then(bringRoom), [parts]);
  return (
    <RoomFrame id={id} parts={parts}>
      {(room) => <RoomLayout stage={stage} {...room} />}
    </RoomFrame>
  );
}

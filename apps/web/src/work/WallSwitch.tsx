import type { ReactNode } from 'react';
import { View } from 'react-native';
import { isCorner } from '@steddo/core';
import { wallTitle } from '@steddo/text';
import { useCanvas } from '../state/canvasState';
import { OnWall, useShown } from '../state/roomState';
import type { RoomShown } from '../state/roomStore';
import { Choice } from '../ui/Choice';

/** The side of a corner's other wall; any other room need not be worked out to have none. */
const otherSide = (s: RoomShown) => (isCorner(s.job) ? s.plan.corner?.side : undefined);

/** In a corner: which of the two walls is worked on; nothing in any other room. */
export function WallSwitch() {
  const side = useShown(otherSide);
  const { wall, setWall } = useCanvas();
  if (!side) return null;
  const walls = side === 'left' ? ([side, 'main'] as const) : (['main', side] as const);
  return (
    <View testID="wall-switch">
      <Choice
        label="which wall"
        options={walls.map((value) => ({ value, name: wallTitle(value).toLowerCase() }))}
        value={wall === 'main' ? 'main' : side}
        onChoose={setWall}
      />
    </View>
  );
}

/** The same, and below it what is to be seen of that wall alone. */
export function ByWall({ children }: { children: ReactNode }) {
  const side = useShown(otherSide);
  const { wall } = useCanvas();
  if (!side) return children;
  return <OnWall wall={wall === 'main' ? 'main' : side}>{children}</OnWall>;
}

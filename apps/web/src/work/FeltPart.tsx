import { useState } from 'react';
import { View } from 'react-native';
import { FELT_TEXT } from '@steddo/text';
import { Action } from '../ui/Action';
import { BottomSheet } from '../ui/BottomSheet';
import { usePalette } from '../ui/tokens';
import { Txt } from '../ui/Txt';
import { nextHole } from '../state/barNumbers';
import { useRoomContext } from '../state/roomState';
import { useWall } from '../state/wallState';

/** "I felt something": stops the work at once, says what to do, and keeps where it was. */
export function FeltPart() {
  const { job, plan, dispatch, readOnly } = useRoomContext();
  const { y, next } = useWall();
  const [open, setOpen] = useState(false);
  const hole = nextHole(plan);
  const spot = hole ?? { id: 'poke', x: next?.looks[0]?.x ?? job.room.wall.width / 2, y };
  const felt = () => {
    dispatch({
      do: 'put',
      path: `drilled.${job.drilled?.length ?? 0}`,
      value: {
        hole: spot.id,
        x: Math.round(spot.x),
        y: Math.round(spot.y),
        result: 'felt-something',
        at: new Date().toISOString(),
      },
    });
    setOpen(true);
  };
  return (
    <View style={{ padding: 10 }}>
      <Action quiet label="I felt something" testID="felt" disabled={readOnly} onPress={felt} />
      {open ? <FeltSheet onClose={() => setOpen(false)} /> : null}
    </View>
  );
}

export function FeltSheet({ onClose }: { onClose: () => void }) {
  const palette = usePalette();
  return (
    <BottomSheet title="Stop" onClose={onClose} testID="felt-sheet">
      <View style={{ gap: 12 }}>
        {FELT_TEXT.map((line, i) => (
          <Txt key={line} kind={i === 0 ? 'bold' : 'text'} {...(i === 0 ? { color: palette.stop } : {})}>
            {line}
          </Txt>
        ))}
        <Action label="I have stopped" testID="felt-close" onPress={onClose} />
      </View>
    </BottomSheet>
  );
}

import { syncOf, type RoomState, type SyncState } from '../data/rooms';
import { OBSTACLE_SHORT } from '../data/sendResult';
import { useShown } from '../state/roomState';
import { usePalette } from '../ui/tokens';
import { Txt } from '../ui/Txt';

/** Where what was entered is now, in a few words. */
export function SaveState({ state }: { state: RoomState }) {
  const palette = usePalette();
  const previewing = useShown((s) => s.previewing);
  const sync = syncOf(state);
  const loud = sync.kind === 'memory' || sync.kind === 'lost' || sync.kind === 'disputed';
  return (
    <Txt kind="small" soft={!loud} {...(loud ? { color: palette.stop } : {})} lines={1} testID="save-state">
      {previewing && sync.kind !== 'memory' ? 'shown, not taken yet' : syncWords(sync)}
    </Txt>
  );
}

/** Nothing is said to be on this device before it is. */
export function syncWords(sync: SyncState): string {
  switch (sync.kind) {
    case 'memory':
      return sync.sent ? 'not kept on this device · sent' : 'not kept on this device · not sent';
    case 'saving':
      return 'keeping it…';
    case 'sent':
      return 'on this device · sent';
    case 'sending':
      return 'on this device · sending';
    case 'waiting':
      return `on this device, ${sync.waiting} to send · ${OBSTACLE_SHORT[sync.obstacle.why]}`;
    case 'disputed':
      return `on this device · ${sync.things} to settle`;
    case 'lost':
      return sync.lost.kind === 'deleted' ? 'on this device · taken away elsewhere' : 'on this device only';
  }
}

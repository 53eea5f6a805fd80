import type { SyncState } from '../data/rooms';
import { Txt } from '../ui/Txt';

/** Where what was entered is now, in a few words. */
export function SaveState({ sync }: { sync: SyncState }) {
  return (
    <Txt kind="small" soft lines={1} testID="save-state">
      {wordsFor(sync)}
    </Txt>
  );
}

function wordsFor(sync: SyncState): string {
  switch (sync.kind) {
    case 'sent':
      return 'on this device · sent';
    case 'sending':
      return 'on this device · sending';
    case 'waiting':
      return `on this device · no server, ${sync.waiting} to send`;
    case 'stale':
      return 'on this device · two versions';
    case 'refused':
      return 'on this device · not taken by the server';
  }
}

import { router } from 'expo-router';
import { changedThing } from '@steddo/text';
import { isStranger } from '../../data/crewState';
import { TROUBLE_TEXT } from '../../data/device';
import type { RoomState } from '../../data/rooms';
import { obstacleText } from '../../data/sendResult';
import { rooms } from '../../data/shared';
import { useRoomContext } from '../../state/roomState';
import { Action } from '../../ui/Action';
import { Half, Notice, Pair } from '../../ui/Notice';
import { DisputeNote } from './DisputeNote';
import { momentText } from '../../ui/moment';
import { saveRoomFile } from './roomFile';

/** What is said above the inputs now, as one word; another word is something new. */
export function noticesOf({ trouble, lost, disputes, obstacle, waiting, notUndone }: RoomState): string {
  const stands = obstacle && obstacle.why !== 'no-server' && waiting.length > 0;
  const said = [
    trouble,
    lost?.kind,
    ...disputes.map((d) => d.thing),
    stands ? obstacle.why : '',
    notUndone ? 'undo' : '',
  ];
  return said.filter(Boolean).join(' ');
}

/** Everything about where this room's edits are that somebody has to know before going on. */
export function KeptNotices({ state, editable }: { state: RoomState; editable: boolean }) {
  const { say } = useRoomContext();
  const { id, trouble, lost, disputes, obstacle, waiting, notUndone } = state;
  return (
    <>
      {trouble ? (
        <Notice tone="stop" testID="device-trouble" text={TROUBLE_TEXT[trouble]}>
          <Action quiet testID="save-file" label="save the room as a file" onPress={() => saveRoomFile(state.job)} />
        </Notice>
      ) : null}
      {lost ? <LostNote id={id} lost={lost} editable={editable} /> : null}
      {disputes.map((d) => (
        <DisputeNote key={d.thing} id={id} dispute={d} editable={editable} />
      ))}
      {obstacle && obstacle.why !== 'no-server' && waiting.length > 0 ? (
        <Notice testID="obstacle" text={obstacleText(obstacle)}>
          {isStranger(obstacle.why) ? (
            <Action quiet testID="say-who" label="say who you are" onPress={() => router.push('/crew')} />
          ) : null}
        </Notice>
      ) : null}
      {notUndone ? (
        <Notice
          tone="note"
          testID="not-undone"
          text={`Not taken back: ${notUndone.map((p) => changedThing(p, say)).join(', ')} ${notUndone.length === 1 ? 'has' : 'have'} been changed by somebody else since. Undo again for the edit before it.`}
        >
          <Action quiet label="good" onPress={() => rooms.noteRead(id)} />
        </Notice>
      ) : null}
    </>
  );
}

function LostNote({ id, lost, editable }: { id: string; lost: NonNullable<RoomState['lost']>; editable: boolean }) {
  const [title, text, mine, theirs] = wordsOf(lost);
  return (
    <Notice title={title} text={text} testID="lost">
      {editable ? (
        <Pair>
          <Half>
            <Action quiet label={mine} testID="lost-mine" onPress={() => rooms.settleLost(id, 'mine')} />
          </Half>
          <Half>
            <Action quiet label={theirs} testID="lost-theirs" onPress={() => rooms.settleLost(id, 'theirs')} />
          </Half>
        </Pair>
      ) : null}
    </Notice>
  );
}

function wordsOf(lost: NonNullable<RoomState['lost']>): [title: string, text: string, mine: string, theirs: string] {
  switch (lost.kind) {
    case 'older':
      return [
        'The server has an earlier record',
        `It does not know what this device had sent: what it has is of ${momentText(lost.theirs.savedAt)}, as after a backup was put back. Both stay on record.`,
        'send this device’s',
        'take the server’s',
      ];
    case 'unknown':
      return [
        'The server does not have this room',
        'It is another server than before, or its records were emptied. The room is whole on this device.',
        'send it there again',
        'take it off this device',
      ];
    case 'deleted':
      return [
        'Somebody has taken this room away',
        `It was taken away on ${momentText(lost.deletedAt)}. What you did since is on this device.`,
        'take it back for all',
        'take it away here too',
      ];
  }
}

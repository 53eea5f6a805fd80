import type { Fault, RevisionHead, RoomSummary } from '@steddo/contract';

/** Why an edit has not reached the server; what of it can pass by itself is tried again. */
export type Obstacle =
  | { why: 'no-server' }
  /** Something between here and the server answers in its place. */
  | { why: 'in-between' }
  | { why: 'passcode' }
  /** Somebody has taken this device out of the crew. */
  | { why: 'taken-out' }
  | { why: 'not-secure'; message: string }
  | { why: 'not-there' }
  | { why: 'too-large' }
  | { why: 'not-valid'; message: string; faults: Fault[] }
  | { why: 'too-many' }
  | { why: 'server-failed'; message: string }
  | { why: 'server-full'; message: string };

export type SendResult =
  | { kind: 'sent'; version: number; revision: string; database: string }
  | { kind: 'stale'; theirs: RoomSummary; known: boolean; since: RevisionHead[]; database: string }
  /** The server has never had the version that the edit was made on. */
  | { kind: 'unknown'; database: string }
  | { kind: 'deleted'; deletedAt: string; database: string }
  | { kind: 'obstacle'; obstacle: Obstacle };

/** Each in a sentence that is true of it; every one of them leaves the edit on this device. */
export function obstacleText(obstacle: Obstacle): string {
  switch (obstacle.why) {
    case 'no-server':
      return 'The server cannot be reached. What you do is kept here and sent when it is back.';
    case 'in-between':
      return 'Something else answers in the server’s place, such as the sign-in page of a network. Open it in the browser, or wait for another network.';
    case 'passcode':
      return 'The server asks who you are before it takes anything. What you do is kept here and sent once you have said it.';
    case 'taken-out':
      return 'This device was taken out of the crew: nothing is sent or fetched. What you do is kept here, and sent if it is let in again; a room can be saved as a file.';
    case 'not-secure':
      return `The server takes nothing this way: ${obstacle.message}.`;
    case 'not-there':
      return 'What answers at this address does not know rooms: it is another program, or another version of the server.';
    case 'too-large':
      return 'This room is larger than the server takes (2 MB). Take out marks or notes that are not needed; until then it is only here.';
    case 'not-valid':
      return `The server does not take the last edit: ${firstFault(obstacle)}. Undo it, or bring server and app to one version.`;
    case 'too-many':
      return 'The server has too many requests at the moment. It is tried again shortly.';
    case 'server-failed':
      return `The server could not save it: ${obstacle.message}. It is tried again.`;
    case 'server-full':
      return `Nothing can be saved on the server: ${obstacle.message}. Whoever looks after it has to make room; it is tried again.`;
  }
}

function firstFault({ message, faults }: { message: string; faults: Fault[] }): string {
  const [first] = faults;
  if (!first) return message;
  const more = faults.length > 1 ? ` (and ${faults.length - 1} more)` : '';
  return `${first.path} ${first.reason}${more}`;
}

/** The same in a few words, for the line under the room's name. */
export const OBSTACLE_SHORT: Record<Obstacle['why'], string> = {
  'no-server': 'no server',
  'in-between': 'another page answers',
  passcode: 'passcode asked',
  'taken-out': 'not in the crew',
  'not-secure': 'way not secure',
  'not-there': 'no rooms there',
  'too-large': 'too large to send',
  'not-valid': 'not taken by the server',
  'too-many': 'server busy',
  'server-failed': 'server failed',
  'server-full': 'server full',
};

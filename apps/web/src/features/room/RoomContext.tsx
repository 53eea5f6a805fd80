import { createContext, useContext } from 'react';
import type { Fault, Job, Plan, Stage } from '@steddo/contract';
import type { Command, TapeStyle } from '@steddo/core';
import type { Wording } from '@steddo/text';

/** What every part of a room's screen works with. */
export interface RoomContextValue {
  id: string;
  /** The document with the crew's kit where it has none, or what it would be with the drag in hand. */
  job: Job;
  plan: Plan;
  say: Wording;
  tape: TapeStyle;
  readOnly: boolean;
  /** Applies a command; gives the faults and changes nothing when it would not be valid. */
  dispatch: (command: Command) => Fault[];
  /** Shows a command without doing it; undefined ends the showing. */
  preview: (command: Command | undefined) => void;
  goTo: (stage: Stage) => void;
}

const Context = createContext<RoomContextValue | undefined>(undefined);
export const RoomContextProvider = Context.Provider;

export function useRoomContext(): RoomContextValue {
  const value = useContext(Context);
  if (!value) throw new Error('used outside a room');
  return value;
}

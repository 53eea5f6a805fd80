import { createContext, useContext } from 'react';

/** What a drag tells the drawing that it is in: while something is in the hand the scale stands still. */
export interface Hold {
  take: () => void;
  letGo: () => void;
}

export const HoldContext = createContext<Hold>({ take: () => undefined, letGo: () => undefined });
export const useHold = (): Hold => useContext(HoldContext);

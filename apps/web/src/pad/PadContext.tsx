import { createContext, useCallback, useContext, useMemo, useState, type ReactNode } from 'react';
import type { Field } from './fields';

export interface PadOpened {
  fields: Field[];
  index: number;
}
interface PadState {
  opened: PadOpened | undefined;
  /** Opens the pad on one of a row of fields; `next` walks along them. */
  open: (fields: Field[], index: number) => void;
  move: (index: number) => void;
  close: () => void;
}

const Context = createContext<PadState | undefined>(undefined);

export function PadProvider({ children }: { children: ReactNode }) {
  const [opened, setOpened] = useState<PadOpened>();
  const open = useCallback((fields: Field[], index: number) => setOpened({ fields, index }), []);
  const move = useCallback((index: number) => setOpened((o) => (o ? { ...o, index } : o)), []);
  const close = useCallback(() => setOpened(undefined), []);
  const value = useMemo(() => ({ opened, open, move, close }), [opened, open, move, close]);
  return <Context.Provider value={value}>{children}</Context.Provider>;
}

export function usePad(): PadState {
  const state = useContext(Context);
  if (!state) throw new Error('a TapeField stands outside a room');
  return state;
}

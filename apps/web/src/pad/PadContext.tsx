import { createContext, useCallback, useContext, useMemo, useRef, useState, type ReactNode } from 'react';
import type { Side } from '@steddo/contract';
import { sideWallCommand } from '@steddo/core';
import { useSeenWall } from '../state/roomState';
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
  /** Whether an entry is being made, or was a moment ago: single keys belong to it. */
  isEntering: () => boolean;
}

/** As long as a hand may go on typing after an entry, ms. */
const AFTER_MS = 800;

const Context = createContext<PadState | undefined>(undefined);

export function PadProvider({ children }: { children: ReactNode }) {
  const [opened, setOpened] = useState<PadOpened>();
  const open = useCallback((fields: Field[], index: number) => setOpened({ fields, index }), []);
  const move = useCallback((index: number) => setOpened((o) => (o ? { ...o, index } : o)), []);
  const closedAt = useRef(-Infinity);
  const close = useCallback(() => {
    closedAt.current = performance.now();
    setOpened(undefined);
  }, []);
  const isOpen = opened !== undefined;
  const isEntering = useCallback(() => isOpen || performance.now() - closedAt.current < AFTER_MS, [isOpen]);
  const value = useMemo(() => ({ opened, open, move, close, isEntering }), [opened, open, move, close, isEntering]);
  return <Context.Provider value={value}>{children}</Context.Provider>;
}

/** The pad belongs to the whole room: what is typed for a field of a corner's other wall is put onto that wall. */
export function usePad(): PadState {
  const state = useContext(Context);
  if (!state) throw new Error('a TapeField stands outside a room');
  const wall = useSeenWall();
  return useMemo(
    () =>
      wall === undefined || wall === 'main'
        ? state
        : {
            ...state,
            open: (fields: Field[], index: number) =>
              state.open(
                fields.map((f) => onWall(f, wall)),
                index,
              ),
          },
    [state, wall],
  );
}

const onWall = (field: Field, wall: Side): Field => ({
  ...field,
  command: (value, now) => sideWallCommand(now, wall, field.command(value, now)),
});

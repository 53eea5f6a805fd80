import { createContext, useContext, useMemo, useRef, useState, type ReactNode, type RefObject } from 'react';
import type { ScrewDrawn, SetAsk } from '@steddo/drawing';
import type { CornerWall } from './seenStore';
import type { ViewName } from './stageIds';

/** What the drawings show besides the job: the view, what is asked for, what is held. */
interface CanvasState {
  view: ViewName | undefined;
  setView: (view: ViewName) => void;
  /** The measure that the guide asks for now. */
  ask: SetAsk;
  setAsk: (ask: SetAsk) => void;
  /** A screw of the list that is looked at instead of the chosen one. */
  screw: ScrewDrawn | undefined;
  setScrew: (screw: ScrewDrawn | undefined) => void;
  /** The thing on the wall whose numbers are open. */
  held: string | undefined;
  setHeld: (id: string | undefined) => void;
  /** In a corner: which of its walls is worked on. */
  wall: CornerWall;
  setWall: (wall: CornerWall) => void;
  /** What is traced over the wall with a thumb, corner to corner. */
  trace: Trace | undefined;
  setTrace: (trace: Trace | undefined) => void;
  /** How much of the photograph shows behind the wall, face on: 0 nothing, 1 all of it. */
  behind: number;
  setBehind: (share: number) => void;
  /** Brings the large drawing closer, further, or to where it fits. */
  zoomer: RefObject<Zoomer | undefined>;
}

/** A part of the wall that differs, or the outline of what is behind its board. */
export type Trace = 'zone' | 'backing';

/** What keys and buttons ask of a drawing. */
export interface Zoomer {
  closer: () => void;
  further: () => void;
  fitted: () => void;
}

const Context = createContext<CanvasState | undefined>(undefined);

export function CanvasProvider({ children }: { children: ReactNode }) {
  const [view, setView] = useState<ViewName>();
  const [ask, setAsk] = useState<SetAsk>('none');
  const [screw, setScrew] = useState<ScrewDrawn>();
  const [held, setHeld] = useState<string>();
  const [wall, setWall] = useState<CornerWall>('main');
  const [trace, setTrace] = useState<Trace>();
  const [behind, setBehind] = useState(0);
  const zoomer = useRef<Zoomer>(undefined);
  const value = useMemo(
    () => ({
      view,
      setView,
      ask,
      setAsk,
      screw,
      setScrew,
      held,
      setHeld,
      wall,
      setWall,
      trace,
      setTrace,
      behind,
      setBehind,
      zoomer,
    }),
    [view, ask, screw, held, wall, trace, behind],
  );
  return <Context.Provider value={value}>{children}</Context.Provider>;
}

/** Half of it is what both the photograph and the drawing can be read through. */
export const HALF_BEHIND = 0.5;

export function useCanvas(): CanvasState {
  const state = useContext(Context);
  if (!state) throw new Error('a drawing stands outside a room');
  return state;
}

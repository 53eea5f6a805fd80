import { createContext, useContext, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import type { Job, NextLook, Side } from '@steddo/contract';
import type { Instruments, NextLooks } from '@steddo/core';
import { wallWorker } from '../worker/wall';
import { useCanvas } from './canvasState';
import { useRoomContext, useSeenWall, useWholeNow } from './roomState';
import type { BuiltStage } from './stageIds';
import type { Tool } from './tools';

/** What a hand is at, at the wall; nothing of it is part of the job. */
export interface WallState {
  /** Undefined while it is being worked out. */
  next: NextLooks | undefined;
  /** The job that it was worked out for; another one makes it stale. */
  nextFor: Job | undefined;
  working: boolean;
  skipped: readonly string[];
  skip: (what: string) => void;
  unskip: () => void;
  /** Marks are made at this height. */
  y: number;
  setY: (y: number) => void;
  /** Takes a simulated instrument to a place; absent where the instruments are real. */
  take: ((kind: Tool['kind'], x: number, y: number) => void) | undefined;
}

/** The instrument in the hand, where there are simulated ones; apart, because it moves with every finger. */
export interface ToolState {
  tool: Tool | undefined;
  setTool: (tool: Tool | undefined) => void;
}

const Context = createContext<WallState | undefined>(undefined);
const ToolContext = createContext<ToolState | undefined>(undefined);
const USUAL_HEIGHT_MM = 1400;
/** A mark typed or a drag in hand changes the job many times; the advice waits for it, ms. */
const SETTLE_MS = 120;

/** Simulated instruments, for each wall of a corner its own. */
export type InstrumentsByWall = { main: Instruments } & Partial<Record<Side, Instruments>>;

export function WallProvider({ children, instruments }: { children: ReactNode; instruments?: InstrumentsByWall }) {
  const { wall } = useCanvas();
  const { planned } = useRoomContext();
  const [next, setNext] = useState<NextLooks>();
  const [nextFor, setNextFor] = useState<Job>();
  const [working, setWorking] = useState(false);
  const [skipped, setSkipped] = useState<string[]>([]);
  const [ownY, setY] = useState<number>();
  const [tool, setTool] = useState<Tool>();
  const placed = planned?.placement;
  const plate = placed?.plate;
  const here = instruments?.[wall ?? 'main'];
  const y = ownY ?? Math.round(plate ? (plate.bottom + plate.top) / 2 : (placed?.centre.y ?? USUAL_HEIGHT_MM));
  const value = useMemo(
    () => ({
      next,
      setNext,
      nextFor,
      setNextFor,
      working,
      setWorking,
      skipped,
      skip: (what: string) => setSkipped((s) => [...s, what]),
      unskip: () => setSkipped([]),
      y,
      setY,
      take: here
        ? (kind: Tool['kind'], x: number, at: number) =>
            setTool({ kind, instruments: here, x, y: at, lit: false, changes: [] })
        : undefined,
    }),
    [next, nextFor, working, skipped, y, here],
  );
  // what is in the hand at one wall knows nothing of the other
  useEffect(() => setTool(undefined), [wall]);
  const held = useMemo(() => ({ tool, setTool }), [tool]);
  return (
    <Context.Provider value={value}>
      <ToolContext.Provider value={held}>{children}</ToolContext.Provider>
    </Context.Provider>
  );
}

type Inner = WallState & {
  setNext: (n: NextLooks | undefined) => void;
  setNextFor: (job: Job) => void;
  setWorking: (w: boolean) => void;
};

export function useWall(): WallState {
  const state = useContext(Context);
  if (!state) throw new Error('a wall is looked into outside a room');
  return state;
}

/** Asks the worker for the next look, whenever the job has settled; for the card that shows it. */
export function useAskNext(): void {
  const { job } = useRoomContext();
  const whole = useWholeNow();
  const wall = useSeenWall() ?? 'main';
  const { skipped, setNext, setNextFor, setWorking } = useWall() as Inner;
  const asked = useRef(0);
  useEffect(() => {
    asked.current += 1;
    const mine = asked.current;
    const timer = setTimeout(() => {
      setWorking(true);
      void wallWorker()
        .nextLooks(whole().job, [...skipped], wall)
        .then((found) => {
          if (mine !== asked.current) return;
          setNext(found);
          setNextFor(job);
          setWorking(false);
        });
    }, SETTLE_MS);
    return () => clearTimeout(timer);
  }, [job, whole, wall, skipped, setNext, setNextFor, setWorking]);
}

/** The look that the drawing points at. */
export function useWallLook(stage: BuiltStage): NextLook | undefined {
  const { next } = useWall();
  return stage === 'wall' ? next?.looks[0] : undefined;
}

export function useHeld(): ToolState {
  const state = useContext(ToolContext);
  if (!state) throw new Error('a tool is held outside a room');
  return state;
}

export function useTool(stage: BuiltStage): Tool | undefined {
  const { tool } = useHeld();
  return stage === 'wall' ? tool : undefined;
}

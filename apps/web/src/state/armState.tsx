import { createContext, useContext, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { nearestPose, posed, reachModelOf, wayTo, type Moved, type ReachModel } from '@steddo/core';
import type { FloorMap, Swung } from '@steddo/drawing';
import { useRoomContext } from './roomState';
import type { BuiltStage } from './stageIds';

/** Where the arm has been brought on the screen; nothing of it is part of the job. */
export interface ArmState {
  /** Absent while no mount that moves hangs anywhere. */
  model: ReachModel | undefined;
  at: Moved | undefined;
  /** Brings the set as near to a pose as it goes. */
  bring: (pose: Pose) => void;
  /** Brings it there in time, along its way from folded. */
  play: (pose: Pose) => void;
  playing: boolean;
  stand: ArmPlace | undefined;
  setStand: (place: ArmPlace | undefined) => void;
  map: FloorMap | undefined;
  setMap: (map: FloorMap | undefined) => void;
}
interface Pose {
  x: number;
  z: number;
  yaw: number;
}
interface ArmPlace {
  x: number;
  z: number;
}

const Context = createContext<ArmState | undefined>(undefined);
/** How long the whole way takes to play, ms. */
const PLAY_MS = 2200;
const FRAMES = 90;

export function ArmProvider({ children }: { children: ReactNode }) {
  const { job, planned } = useRoomContext();
  const model = useMemo(() => planned && reachModelOf(job, planned), [job, planned]);
  const [wanted, setWanted] = useState<Pose>();
  const [frame, setFrame] = useState<Moved>();
  const [stand, setStand] = useState<ArmPlace>();
  const [map, setMap] = useState<FloorMap>();
  const running = useRef(0);
  useEffect(() => () => cancelAnimationFrame(running.current), []);
  const at = useMemo(() => {
    if (!model) return undefined;
    if (wanted) return nearestPose(model, wanted);
    return model.rest === model.folded ? posed(model, model.folded) : nearestPose(model, model.rest);
  }, [model, wanted]);
  const value = useMemo<ArmState>(() => {
    const halt = () => {
      cancelAnimationFrame(running.current);
      setFrame(undefined);
    };
    const play = (pose: Pose) => {
      if (!model) return;
      halt();
      setWanted(pose);
      const way = wayTo(model, nearestPose(model, pose), FRAMES);
      const start = performance.now();
      const step = (now: number) => {
        const share = Math.max(0, now - start) / PLAY_MS;
        if (share >= 1 || way.length < 2) return setFrame(undefined);
        setFrame(way[Math.floor(share * way.length)]);
        running.current = requestAnimationFrame(step);
      };
      running.current = requestAnimationFrame(step);
    };
    return {
      model,
      at: frame ?? at,
      bring: (pose) => {
        halt();
        setWanted(pose);
      },
      play,
      playing: frame !== undefined,
      stand,
      setStand,
      map,
      setMap,
    };
  }, [model, at, frame, stand, map]);
  return <Context.Provider value={value}>{children}</Context.Provider>;
}

export function useArm(): ArmState {
  const state = useContext(Context);
  if (!state) throw new Error('an arm is moved outside a room');
  return state;
}

/** What the drawings of a stage show of the arm; at other stages it hangs folded and is not drawn. */
export function useSwung(stage: BuiltStage): Swung | undefined {
  const { model, at, stand, map } = useArm();
  return useMemo(
    () =>
      stage === 'reach' && model && at
        ? { model, at, angles: true, ...(stand ? { stand } : {}), ...(map ? { map } : {}) }
        : undefined,
    [stage, model, at, stand, map],
  );
}

import { useCallback, useEffect, useRef, type RefObject } from 'react';
import type { Job } from '@steddo/contract';
import { chooseHeight, onDivision, type Command } from '@steddo/core';
import { useRoomContext } from '../state/roomState';
import { placeOfSet } from '../state/placeOfSet';

/** Nudges that follow each other within this time are one edit, ms. */
const IDLE_MS = 600;
/** Sideways only when the drag clearly goes sideways. */
const SIDEWAYS = 1.5;

export interface MoveSet {
  drag: (dxMm: number, dyMm: number) => void;
  drop: (dxMm: number, dyMm: number) => void;
  cancel: () => void;
  /** By so many divisions of the tape, from the keyboard. */
  nudge: (across: number, up: number) => void;
}

/** Nudges are done before whatever else is tapped or typed: an undo takes them back, and does not come before them. */
function useSettleFirst(timer: RefObject<unknown>, settle: RefObject<() => void>): void {
  useEffect(() => {
    const first = () => {
      if (timer.current !== undefined) settle.current();
    };
    const onKey = (e: KeyboardEvent) => {
      if (!e.key.startsWith('Arrow') && !MODIFIERS.includes(e.key)) first();
    };
    window.addEventListener('pointerdown', first, true);
    window.addEventListener('keydown', onKey, true);
    // a tab that ends or goes to the back does not come to it later
    window.addEventListener('pagehide', first);
    document.addEventListener('visibilitychange', first);
    return () => {
      window.removeEventListener('pagehide', first);
      document.removeEventListener('visibilitychange', first);
      window.removeEventListener('pointerdown', first, true);
      window.removeEventListener('keydown', onKey, true);
    };
  }, [timer, settle]);
}

const MODIFIERS = ['Shift', 'Control', 'Meta', 'Alt'];

/** Moves the set up and down or sideways, snapped to the tape's division; one edit for one move. */
export function useMoveSet(): MoveSet {
  const { job, plan, late, tape, dispatch, preview } = useRoomContext();
  const at = placeOfSet({ job, plan, late });
  /** Where the set was and the job as it was when the move began, before anything was shown. */
  const base = useRef<{ x: number; y: number; job: Job } | undefined>(undefined);
  const pending = useRef<Command | undefined>(undefined);
  const timer = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  const settle = useCallback(() => {
    if (timer.current) clearTimeout(timer.current);
    timer.current = undefined;
    base.current = undefined;
    const command = pending.current;
    pending.current = undefined;
    if (command) dispatch(command);
    preview(undefined);
  }, [dispatch, preview]);
  const latest = useRef(settle);
  latest.current = settle;
  useEffect(() => () => latest.current(), []);
  useSettleFirst(timer, latest);

  const aim = (dx: number, dy: number) => {
    if (!base.current && at) base.current = { ...at, job };
    if (!base.current) return;
    // a set in a corner goes nowhere sideways
    if (plan.corner && dy === 0) return;
    const sideways = !plan.corner && Math.abs(dx) > SIDEWAYS * Math.abs(dy);
    pending.current = sideways
      ? { do: 'put', path: 'choices.centreX', value: onDivision(base.current.x + dx, tape) }
      : chooseHeight(base.current.job, onDivision(base.current.y + dy, tape));
  };
  const moved = useRef({ across: 0, up: 0 });
  return {
    drag: (dx, dy) => {
      aim(dx, dy);
      if (pending.current) preview(pending.current, 'paced');
    },
    drop: (dx, dy) => {
      aim(dx, dy);
      settle();
    },
    cancel: () => {
      pending.current = undefined;
      settle();
    },
    nudge: (across, up) => {
      if (!timer.current) moved.current = { across: 0, up: 0 };
      else clearTimeout(timer.current);
      moved.current = {
        across: across === 0 ? 0 : moved.current.across + across,
        up: up === 0 ? 0 : moved.current.up + up,
      };
      aim(moved.current.across * tape.divisionMm, moved.current.up * tape.divisionMm);
      if (pending.current) preview(pending.current);
      timer.current = setTimeout(settle, IDLE_MS);
    },
  };
}

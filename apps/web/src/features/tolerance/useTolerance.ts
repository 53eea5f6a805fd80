import { useCallback, useEffect, useRef, useState } from 'react';
import type { Job, TolerancePlan } from '@steddo/contract';
import { told } from '../../worker/told';
import { wallWorker } from '../../worker/wall';

export type Drawing =
  | { is: 'drawing'; share: number }
  | { is: 'there'; tolerance: TolerancePlan }
  /** Called off, or there are no holes. */
  | { is: 'none' };

/** The same draws each time that a room is looked at. */
const SEED = 1;

/** Draws a job in the worker whenever it changes; it can be called off. */
export function useTolerance(job: Job): { drawing: Drawing; stop: () => void; again: () => void } {
  const [drawing, setDrawing] = useState<Drawing>({ is: 'drawing', share: 0 });
  const asked = useRef(0);
  const draw = useCallback(() => {
    asked.current += 1;
    const mine = asked.current;
    const tell = (share: number) => mine === asked.current && setDrawing({ is: 'drawing', share });
    tell(0);
    void told(tell, (tell) => wallWorker().tolerance(job, SEED, tell)).then((tolerance) => {
      if (mine === asked.current) setDrawing(tolerance ? { is: 'there', tolerance } : { is: 'none' });
    });
  }, [job]);
  const stop = useCallback(() => {
    asked.current += 1;
    setDrawing({ is: 'none' });
    void wallWorker().cancelTolerance();
  }, []);
  useEffect(() => {
    draw();
    return () => {
      asked.current += 1;
    };
  }, [draw]);
  return { drawing, stop, again: draw };
}

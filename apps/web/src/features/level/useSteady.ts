import { useEffect, useRef, useState } from 'react';
import { steadyAngle, type LevelSample, type LiveLevel } from '@steddo/core';

/** So often what it says is looked at, ms, and so many of that are kept: some seconds. */
const LOOKED_MS = 50;
const KEPT = 100;
/** After a reading it has to be taken up and put down again: off by so much from where it rested, degrees. */
const MOVED_DEG = 1.5;
/** A device without a sensor tells nothing; after so long that is what is said, ms. */
const SILENT_MS = 2500;

/** What a live level says now, and each reading as it comes to rest; `silent` where it says nothing at all. */
export function useSteady(level: LiveLevel | undefined, onRead: (deg: number) => void) {
  const [now, setNow] = useState<number>();
  const [silent, setSilent] = useState(false);
  const rested = useRef<number>(undefined);
  const read = useRef(onRead);
  read.current = onRead;
  useEffect(() => {
    if (!level) return undefined;
    let samples: LevelSample[] = [];
    rested.current = undefined;
    let latest: { deg: number | undefined } | undefined;
    const letGo = level.follow((deg) => {
      latest = { deg };
      setSilent(false);
      setNow(deg);
    });
    // a browser tells only what has changed: what lies still says nothing new, and is looked at by the clock
    const clock = setInterval(() => {
      const deg = latest?.deg;
      if (deg === undefined || (rested.current !== undefined && Math.abs(deg - rested.current) > MOVED_DEG)) {
        samples = [];
        rested.current = undefined;
      }
      if (deg === undefined || rested.current !== undefined) return;
      samples = [...samples.slice(-KEPT), { at: performance.now(), deg }];
      rested.current = steadyAngle(samples);
      if (rested.current !== undefined) read.current(rested.current);
    }, LOOKED_MS);
    const silence = setTimeout(() => setSilent(latest === undefined), SILENT_MS);
    return () => {
      clearTimeout(silence);
      clearInterval(clock);
      letGo();
    };
  }, [level]);
  /** Reads it once more where it lies, for whoever turned it without a tilt. */
  const again = () => {
    rested.current = undefined;
  };
  return { now, silent, again };
}

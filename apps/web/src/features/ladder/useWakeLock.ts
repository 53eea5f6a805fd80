import { useEffect, useState } from 'react';

/** Keeps the screen awake while it is shown; asks again after the phone was away. Tells whether it does. */
export function useWakeLock(): boolean {
  const [awake, setAwake] = useState(false);
  useEffect(() => {
    let here = true;
    let lock: WakeLockSentinel | undefined;
    const ask = async () => {
      if (!navigator.wakeLock || document.visibilityState !== 'visible') return;
      try {
        const got = await navigator.wakeLock.request('screen');
        if (!here) return void got.release();
        lock = got;
        setAwake(true);
        got.addEventListener('release', () => setAwake(false));
      } catch {
        // low battery or not allowed: the page says that it is not kept awake
        setAwake(false);
      }
    };
    void ask();
    const again = () => void ask();
    document.addEventListener('visibilitychange', again);
    return () => {
      here = false;
      document.removeEventListener('visibilitychange', again);
      void lock?.release();
    };
  }, []);
  return awake;
}

import { useSyncExternalStore } from 'react';

const QUERY = '(prefers-reduced-motion: reduce)';
const asked = (): MediaQueryList | undefined => window.matchMedia?.(QUERY);

/** Whether the reader asked that things do not move. */
export function useStill(): boolean {
  return useSyncExternalStore(
    (onChange) => {
      const query = asked();
      query?.addEventListener('change', onChange);
      return () => query?.removeEventListener('change', onChange);
    },
    () => asked()?.matches ?? false,
  );
}

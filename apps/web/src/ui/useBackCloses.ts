import { useEffect, useRef } from 'react';
import { opened } from './backEntry';

/** While this is open, the browser's Back and the Escape key close it and nothing else. */
export function useBackCloses(onClose: () => void): void {
  const close = useRef(onClose);
  close.current = onClose;
  useEffect(() => {
    const closed = opened(() => close.current());
    const onKey = (e: KeyboardEvent) => e.key === 'Escape' && close.current();
    // on the way down: a text field keeps its keys to itself
    window.addEventListener('keydown', onKey, true);
    return () => {
      window.removeEventListener('keydown', onKey, true);
      closed();
    };
  }, []);
}

import { useEffect, useRef, type RefObject } from 'react';
import type { View } from 'react-native';

/** Brings something into view when it opens, is added or says why it refuses: as little as is needed, at once. */
export function useIntoView(shown: boolean): RefObject<View | null> {
  const ref = useRef<View>(null);
  const before = useRef(false);
  useEffect(() => {
    const opened = shown && !before.current;
    before.current = shown;
    if (!opened) return;
    const element = ref.current as unknown as HTMLElement | null;
    // what is larger than the window shows its beginning
    const tall = element && element.getBoundingClientRect().height > window.innerHeight / 2;
    element?.scrollIntoView?.({ block: tall ? 'start' : 'nearest' });
  }, [shown]);
  return ref;
}

import { useEffect, useState, type RefObject } from 'react';
import type { View } from 'react-native';

/** How far outside the window something already counts as seen. */
const NEAR = '400px';

/** Whether something has come into sight, or near it; what is long to work out waits for that. */
export function useSeen(ref: RefObject<View | null>): boolean {
  const [seen, setSeen] = useState(typeof IntersectionObserver === 'undefined');
  useEffect(() => {
    const node = ref.current as unknown as Element | null;
    if (seen || !node) return;
    const observer = new IntersectionObserver(
      (entries) => {
        if (entries.some((e) => e.isIntersecting)) setSeen(true);
      },
      { rootMargin: NEAR },
    );
    observer.observe(node);
    return () => observer.disconnect();
  }, [ref, seen]);
  return seen;
}

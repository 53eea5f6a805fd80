import { useEffect, useRef } from 'react';
import { opened } from './backEntry';

/** While this is open, the browser's Back closes it and nothing else. */
export function useBackCloses(onClose: () => void): void {
  const close = useRef(onClose);
  close.current = onClose;
  useEffect(() => opened(() => close.current()), []);
}

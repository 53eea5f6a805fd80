import { useEffect, useRef } from 'react';

/** While something is open over the page, the browser's Back closes it first. */
export function useBackCloses(onClose: () => void): void {
  const close = useRef(onClose);
  close.current = onClose;
  useEffect(() => {
    let gone = false;
    const { state } = window.history;
    window.history.pushState(state, '');
    const onPop = () => {
      gone = true;
      close.current();
    };
    window.addEventListener('popstate', onPop, { once: true });
    return () => {
      window.removeEventListener('popstate', onPop);
      if (!gone) window.history.back();
    };
  }, []);
}

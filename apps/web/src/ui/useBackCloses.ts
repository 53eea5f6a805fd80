import { useEffect, useRef } from 'react';

/**
 * While something is open over the page, the browser's Back closes it first. All that is open
 * shares one entry of the history, which goes again when the last has closed; a quick close and
 * open keeps it, because going back takes its time and must not meet a new entry on its way.
 */
const open: (() => void)[] = [];
const LINGER_MS = 60;
let entry = false;
let goingBack = false;
let timer: ReturnType<typeof setTimeout> | undefined;

function settle(): void {
  if (goingBack) return;
  if (open.length > 0 && !entry) {
    window.history.pushState(window.history.state, '');
    entry = true;
  } else if (open.length === 0 && entry) {
    entry = false;
    goingBack = true;
    window.history.back();
  }
}

/** Our own entry is none of the router's business: it would lay the page anew. */
function onPop(event: PopStateEvent): void {
  if (goingBack) {
    event.stopImmediatePropagation();
    goingBack = false;
    settle();
  } else if (entry) {
    event.stopImmediatePropagation();
    entry = false;
    open.at(-1)?.();
  }
}

if (typeof window !== 'undefined') window.addEventListener('popstate', onPop, true);

export function useBackCloses(onClose: () => void): void {
  const close = useRef(onClose);
  close.current = onClose;
  useEffect(() => {
    const mine = () => close.current();
    open.push(mine);
    settle();
    return () => {
      open.splice(open.indexOf(mine), 1);
      clearTimeout(timer);
      timer = setTimeout(settle, LINGER_MS);
    };
  }, []);
}

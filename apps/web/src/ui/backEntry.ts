/**
 * While something is open over the page, the browser's Back closes it first. All that is open
 * shares one entry of the history, which goes again when the last has closed; a quick close and
 * open keeps it, because going back takes its time and must not meet a new entry on its way.
 *
 * Loaded before the router, whose own listener would lay the page anew at our entry: listeners of
 * the window are called in the order in which they came.
 */
const open: (() => void)[] = [];
const LINGER_MS = 60;
const MARK = 'steddoOpen';
const isOurs = (state: unknown): boolean => typeof state === 'object' && state !== null && MARK in state;
let entry = false;
let goingBack = false;
let timer: ReturnType<typeof setTimeout> | undefined;

function settle(): void {
  if (goingBack) return;
  if (open.length > 0 && !entry) {
    window.history.pushState({ ...(window.history.state as object), [MARK]: true }, '');
    entry = true;
  } else if (open.length === 0 && entry) {
    entry = false;
    // whoever left the page from what was open is further on, and stays there
    if (!isOurs(window.history.state)) return;
    goingBack = true;
    window.history.back();
  }
}

function onPop(event: PopStateEvent): void {
  if (!goingBack && !entry) return;
  event.stopImmediatePropagation();
  if (goingBack) {
    goingBack = false;
    settle();
    return;
  }
  entry = false;
  open.at(-1)?.();
}

window.addEventListener('popstate', onPop);

/** Something has opened; call what comes back when it has closed. */
export function opened(close: () => void): () => void {
  open.push(close);
  settle();
  return () => {
    open.splice(open.indexOf(close), 1);
    clearTimeout(timer);
    timer = setTimeout(settle, LINGER_MS);
  };
}

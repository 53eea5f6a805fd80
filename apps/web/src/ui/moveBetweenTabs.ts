import type { KeyboardEvent } from 'react';

/** Arrow keys walk along the tabs of a list, of which the tab key meets one: Enter goes to the one under the focus. */
export function moveBetweenTabs(e: KeyboardEvent<HTMLElement>): void {
  const way = { ArrowRight: 1, ArrowLeft: -1, Home: -Infinity, End: Infinity }[e.key];
  if (way === undefined) return;
  const tabs = [...e.currentTarget.querySelectorAll<HTMLElement>('[role="tab"]')];
  const at = tabs.indexOf(document.activeElement as HTMLElement);
  const next = tabs[Math.min(tabs.length - 1, Math.max(0, at + way))];
  if (!next) return;
  e.preventDefault();
  next.focus();
}

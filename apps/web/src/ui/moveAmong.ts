import type { KeyboardEvent } from 'react';

const WAYS: Record<string, number> = {
  ArrowRight: 1,
  ArrowDown: 1,
  ArrowLeft: -1,
  ArrowUp: -1,
  Home: -Infinity,
  End: Infinity,
};

/** Arrow keys walk along the tabs or radios of a list, of which the tab key meets one: Enter takes the one under the focus. */
export function moveAmong(e: KeyboardEvent<HTMLElement>): void {
  const way = WAYS[e.key];
  if (way === undefined) return;
  const all = [...e.currentTarget.querySelectorAll<HTMLElement>('[role="tab"], [role="radio"]')];
  const at = all.indexOf(document.activeElement as HTMLElement);
  const next = all[Math.min(all.length - 1, Math.max(0, at + way))];
  if (at < 0 || !next) return;
  e.preventDefault();
  e.stopPropagation();
  next.focus();
}

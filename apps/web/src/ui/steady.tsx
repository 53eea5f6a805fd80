import { memo, useLayoutEffect, useRef, useState, type ComponentType, type ReactElement } from 'react';

type Act = (...args: never[]) => unknown;
const isAct = (value: unknown): value is Act => typeof value === 'function';

/** As it is written down: what something within it does when tapped is left out. */
const sameWritten = (a: unknown, b: unknown): boolean => a === b || JSON.stringify(a) === JSON.stringify(b);

/** Whether two sets of props show the same; what they do when tapped is no part of that. */
function showsSame(a: Record<string, unknown>, b: Record<string, unknown>): boolean {
  const names = new Set([...Object.keys(a), ...Object.keys(b)]);
  return [...names].every((name) =>
    isAct(a[name]) || isAct(b[name]) ? isAct(a[name]) === isAct(b[name]) : sameWritten(a[name], b[name]),
  );
}

/**
 * A part of a page that is drawn anew only when it shows something else, while a tap does what the latest props say:
 * a stage hands new functions to all of its parts with every edit. Not for parts with children.
 */
export function steady<P extends object>(Shown: ComponentType<P>): (props: P) => ReactElement {
  const Kept = memo(Shown as ComponentType<object>, (a, b) =>
    showsSame(a as Record<string, unknown>, b as Record<string, unknown>),
  );
  return function Steady(props: P) {
    const latest = useRef(props as Record<string, unknown>);
    useLayoutEffect(() => {
      latest.current = props as Record<string, unknown>;
    });
    const [acts] = useState(() => new Map<string, Act>());
    const actOf = (name: string): Act => {
      const known = acts.get(name) ?? ((...args) => (latest.current[name] as Act)(...args));
      acts.set(name, known);
      return known;
    };
    const given = Object.entries(props).map(([name, value]) => [name, isAct(value) ? actOf(name) : value]);
    return <Kept {...(Object.fromEntries(given) as object)} />;
  };
}

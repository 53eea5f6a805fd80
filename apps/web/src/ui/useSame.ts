import { dequal } from 'dequal/lite';
import { useRef } from 'react';

/** The same content, however often it was worked out: for parts of a plan or a drawing. */
export const sameContent = (a: unknown, b: unknown): boolean => dequal(a, b);

/** The last value as long as a new one has the same content, so that what is drawn from it is not drawn anew. */
export function useSame<T>(value: T): T {
  const last = useRef(value);
  if (!sameContent(last.current, value)) last.current = value;
  return last.current;
}

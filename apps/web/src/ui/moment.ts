import { format } from 'date-fns/format';
import { isValid } from 'date-fns/isValid';
import { parseISO } from 'date-fns/parseISO';

/** A moment as people read it: `14 Mar 2026, 09:30`; as it is where it is none. */
export function momentText(iso: string): string {
  const at = parseISO(iso);
  return isValid(at) ? format(at, 'd MMM yyyy, HH:mm') : iso;
}

/** A day as people read it: `14 Mar 2026`; as it is where it is none. */
export function dayText(iso: string): string {
  const at = parseISO(iso);
  return isValid(at) ? format(at, 'd MMM yyyy') : iso;
}

/** The day as it is written in the name of a file: `2026-03-14`. */
export const today = (): string => format(new Date(), 'yyyy-MM-dd');

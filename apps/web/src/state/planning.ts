import { Later } from '../ui/later';

/** What works rooms out: a fifth of all script, which comes after what is needed to enter something. */
export const planning = new Later(() => import('./planHere'));

/** The same for a part of a page that cannot be drawn without; React waits for it. */
export function usePlanning(): NonNullable<typeof planning.there> {
  if (!planning.there) throw planning.bring();
  return planning.there;
}

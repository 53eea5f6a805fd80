import createError from 'http-errors';
import { api, checkFile } from '@steddo/contract';

/** The id of a room in an address, or a refusal that says what an id is. */
export function roomId(value: string | undefined): string {
  const checked = checkFile(api.roomIdParam, value);
  if (!checked.ok) throw createError(400, `the room's id ${checked.faults[0]?.reason ?? 'is not valid'}`);
  return checked.value;
}

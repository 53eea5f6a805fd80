import {
  crew,
  type CrewDevice,
  type CrewReply,
  type CustomerLink,
  type EnterRequest,
  type Fault,
  type MadeLink,
  type PairingReply,
  type ShownRoom,
} from '@steddo/contract';
import { crewState } from './crewState';
import { ask, asJson, bodyOf, fail, failureText, fetchJpeg, obstacleOf, read, valid } from './request';
import { obstacleText } from './sendResult';

/** Asks whether the server knows this device; what it cannot be asked stays as it was. */
export async function askCrew(): Promise<void> {
  const reply = await read('/api/crew', crew.crewReply).catch(() => undefined);
  if (reply) take(reply);
}

function take({ crew: there, me, takenOut }: CrewReply): void {
  if (!there) crewState.set({ kind: 'none' });
  else if (me) crewState.set({ kind: 'in', me });
  else crewState.set(takenOut ? { kind: 'taken-out', at: takenOut.at } : { kind: 'passcode' });
}

/** How being let in ended: what stood in the way at its field, or in a sentence. */
export type Entered = { kind: 'in' } | { kind: 'refused'; message: string; faults: Fault[] };

export const enterCrew = (request: EnterRequest): Promise<Entered> => sendMe('/api/crew/enter', 'POST', request);
export const renameMe = (person: string, device: string): Promise<Entered> =>
  sendMe('/api/crew/me', 'PUT', { person, device });

async function sendMe(path: string, method: 'POST' | 'PUT', body: unknown): Promise<Entered> {
  try {
    const response = await ask(path, asJson(method, body));
    if (response.ok) {
      take(valid(crew.crewReply, await bodyOf(response)));
      return { kind: 'in' };
    }
    // what is wrong or locked is said by the server; it says nothing of this device being a stranger
    const said = (await bodyOf(response.clone())) as { message?: unknown; faults?: Fault[] };
    if ([401, 422, 429].includes(response.status) && typeof said.message === 'string')
      return { kind: 'refused', message: said.message, faults: said.faults ?? [] };
    return { kind: 'refused', message: obstacleText(await obstacleOf(response)), faults: [] };
  } catch (error) {
    return { kind: 'refused', message: failureText(error), faults: [] };
  }
}

export const fetchDevices = async (): Promise<CrewDevice[]> =>
  (await read('/api/crew/devices', crew.crewDevices)).devices;

async function act<T>(path: string, method: 'POST' | 'DELETE', schema?: Parameters<typeof valid<T>>[0]): Promise<T> {
  const response = await ask(path, asJson(method));
  if (!response.ok) fail(await obstacleOf(response));
  const body = await bodyOf(response);
  return schema ? valid(schema, body) : (undefined as T);
}

export const offerCode = (): Promise<PairingReply> => act('/api/crew/pairings', 'POST', crew.pairingReply);
export const takeOutDevice = (id: string): Promise<void> =>
  act(`/api/crew/devices/${encodeURIComponent(id)}`, 'DELETE');

const linksOf = (room: string): string => `/api/rooms/${room}/links`;
export const fetchLinks = async (room: string): Promise<CustomerLink[]> =>
  (await read(linksOf(room), crew.customerLinks)).links;
export const makeLink = (room: string): Promise<MadeLink> => act(linksOf(room), 'POST', crew.madeLink);
export const withdrawLink = (room: string, id: string): Promise<void> =>
  act(`${linksOf(room)}/${encodeURIComponent(id)}`, 'DELETE');

const bearer = (secret: string): RequestInit => ({ headers: { authorization: `Bearer ${secret}` } });

/** What a customer's link shows; nothing where it is none, or was withdrawn. */
export async function fetchShown(secret: string): Promise<ShownRoom | 'nothing'> {
  // what no header can hold is no secret of ours
  if (!/^[\w-]+$/.test(secret)) return 'nothing';
  const response = await ask('/api/shown', bearer(secret));
  if (response.status === 404) return 'nothing';
  if (!response.ok) fail(await obstacleOf(response));
  return valid(crew.shownRoom, await bodyOf(response));
}

/** A picture of the room that a link shows. */
export const fetchShownPicture = (secret: string, id: string): Promise<Uint8Array | undefined> =>
  fetchJpeg(`/api/shown/pictures/${encodeURIComponent(id)}`, bearer(secret));

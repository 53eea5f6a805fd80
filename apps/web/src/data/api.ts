import {
  CATALOGUE_BOUNDS,
  api,
  checkFile,
  crewKit,
  type CrewKit,
  type ChangesReply,
  type Fault,
  type Job,
  type MountHistory,
  type RevisionList,
  type RoomHead,
  type RoomList,
  type RoomReply,
  type SaveMount,
  type SaveRequest,
} from '@steddo/contract';
import type { Piece, PieceResult } from './pictures';
import { ask, asJson, attempt, bodyOf, fail, fetchJpeg, obstacleOf, read, valid } from './request';
import type { Obstacle, SendResult } from './sendResult';

const LIST_BOUNDS = { depth: 8, entries: 100_000 };

/** Which part of the server's list is asked for; its top without anything. */
export interface ListPart {
  after?: Pick<RoomHead, 'savedAt' | 'id'>;
  words?: string;
}

export function fetchRooms({ after, words }: ListPart = {}): Promise<RoomList> {
  const query = new URLSearchParams({
    ...(after ? { after: `${after.savedAt} ${after.id}` } : {}),
    ...(words === undefined ? {} : { words }),
  });
  return read(query.size === 0 ? '/api/rooms' : `/api/rooms?${query.toString()}`, api.roomList, LIST_BOUNDS);
}

/** How rooms stand on the server, however many; those that it does not have are not among them. */
export async function fetchHeads(ids: readonly string[]): Promise<RoomHead[]> {
  const heads: RoomHead[] = [];
  for (let from = 0; from < ids.length; from += api.MOST_ASKED) {
    const some = ids.slice(from, from + api.MOST_ASKED).join(',');
    heads.push(...(await read(`/api/rooms/heads?ids=${some}`, api.roomHeads, LIST_BOUNDS)).rooms);
  }
  return heads;
}

export const fetchKit = (): Promise<CrewKit> => read('/api/catalogue/kit', crewKit, CATALOGUE_BOUNDS);
export const fetchChanges = (since: string): Promise<ChangesReply> =>
  read(`/api/changes?since=${encodeURIComponent(since)}`, api.changesReply, LIST_BOUNDS);
export const fetchRevisions = (id: string): Promise<RevisionList> =>
  read(`/api/rooms/${id}/revisions`, api.revisionList, LIST_BOUNDS);

/** A document of the room's record: a revision by its number, or a save that came too late by its edit. */
export async function fetchRecorded(id: string, which: number | string): Promise<Job> {
  const part = typeof which === 'number' ? `revisions/${which}` : `refused/${encodeURIComponent(which)}`;
  return (await read(`/api/rooms/${id}/${part}`, api.revisionReply)).job;
}

export type Fetched =
  | { kind: 'found'; reply: RoomReply }
  | { kind: 'unknown'; database: string }
  | { kind: 'deleted'; deletedAt: string; database: string };

/** A room as the server has it, and whether it knows the revision that this device has. */
export async function fetchRoom(id: string, base?: string): Promise<Fetched> {
  const response = await ask(`/api/rooms/${id}${base === undefined ? '' : `?base=${encodeURIComponent(base)}`}`);
  if (response.ok) return { kind: 'found', reply: valid(api.roomReply, await bodyOf(response)) };
  return (await absent(response)) ?? fail(await obstacleOf(response));
}

/** A server that says that it does not have the room; anybody can answer 404. */
async function absent(response: Response): Promise<Exclude<Fetched, { kind: 'found' }> | undefined> {
  if (response.status !== 404 && response.status !== 410) return undefined;
  const said = checkFile(api.absentReply, await bodyOf(response.clone()));
  if (!said.ok) return undefined;
  const { error, database, deletedAt = '' } = said.value;
  return error === 'deleted' ? { kind: 'deleted', deletedAt, database } : { kind: 'unknown', database };
}

export const sendRoom = (id: string, save: SaveRequest): Promise<SendResult> =>
  attempt(async (): Promise<SendResult> => {
    const response = await ask(`/api/rooms/${id}`, asJson('PUT', save));
    if (response.ok) return { kind: 'sent', ...valid(api.savedReply, await bodyOf(response)) };
    if (response.status === 409) return { kind: 'stale', ...valid(api.staleReply, await bodyOf(response)) };
    return (await absent(response)) ?? { kind: 'obstacle', obstacle: await obstacleOf(response) };
  });

export type ActResult = { kind: 'done' } | { kind: 'obstacle'; obstacle: Obstacle };

/** Takes a room away on the server, or takes it back; where that has happened already it is done. */
export const sendAct = (id: string, act: 'delete' | 'take-back'): Promise<ActResult> =>
  attempt(async (): Promise<ActResult> => {
    const path = act === 'delete' ? `/api/rooms/${id}` : `/api/rooms/${id}/take-back`;
    const response = await ask(path, asJson(act === 'delete' ? 'DELETE' : 'POST'));
    if (response.ok || response.status === 404) return { kind: 'done' };
    return { kind: 'obstacle', obstacle: await obstacleOf(response) };
  });

/** A mount on its way to the server; refused ones stay on the device. */
export async function sendMount(edit: SaveMount): Promise<'sent' | 'offline' | 'refused'> {
  const path = `/api/catalogue/mounts/${encodeURIComponent(edit.mount.id)}`;
  const result = await attempt(async () => {
    const response = await ask(path, asJson('PUT', edit));
    return response.ok ? ('sent' as const) : fail(await obstacleOf(response));
  });
  if (result === 'sent') return result;
  return result.obstacle.why === 'not-valid' ? 'refused' : 'offline';
}

/** Every version of a mount, the latest first; empty where the server knows none. */
export async function fetchHistory(id: string): Promise<MountHistory['versions']> {
  const response = await ask(`/api/catalogue/mounts/${encodeURIComponent(id)}/history`);
  if (response.status === 404) return [];
  if (!response.ok) fail(await obstacleOf(response));
  return valid(api.mountHistory, await bodyOf(response)).versions;
}

export type ImportResult = { kind: 'taken'; mounts: number } | { kind: 'refused'; message: string; faults: Fault[] };

/** A file of twenty thousand mounts takes longer than anything else that is sent. */
const IMPORT_PATIENCE_MS = 120_000;

/** Gives a whole catalogue file to the server, which takes all of it or nothing. */
export async function sendCatalogue(file: Blob, csv: boolean, editId: string): Promise<ImportResult> {
  try {
    const headers = { 'content-type': csv ? 'text/csv' : 'application/json', 'x-edit-id': editId };
    const init = { method: 'POST', headers, body: file };
    const response = await ask('/api/catalogue/import', init, IMPORT_PATIENCE_MS);
    const body = await bodyOf(response);
    if (response.ok) return { kind: 'taken', mounts: valid(api.importedReply, body).mounts };
    const reply = valid(api.errorReply, body);
    return { kind: 'refused', message: reply.message, faults: reply.faults ?? [] };
  } catch {
    const message = 'the server cannot be reached; nothing was taken';
    return { kind: 'refused', message, faults: [] };
  }
}

const picturesOf = (room: string): string => `/api/rooms/${room}/pictures`;

/** Sends the next piece of a picture; the server says how far it is. */
export async function sendPiece(room: string, id: string, piece: Piece): Promise<PieceResult> {
  const { from, size, sha256, bytes } = piece;
  const path = `${picturesOf(room)}/${id}?from=${from}&size=${size}&sha256=${sha256}`;
  const headers = { 'content-type': 'application/octet-stream' };
  try {
    const response = await ask(path, { method: 'PUT', headers, body: bytes as BodyInit });
    if (response.ok) return { kind: 'at', ...valid(api.pieceReply, await bodyOf(response)) };
    if (response.status === 404) return { kind: 'no-room' };
    if (response.status === 409) {
      const { received, whole } = valid(api.pieceGapReply, await bodyOf(response));
      return { kind: 'at', received, whole };
    }
    const obstacle = await obstacleOf(response);
    if (obstacle.why !== 'not-valid') return { kind: 'no-server' };
    return { kind: 'refused', why: obstacle.faults[0]?.reason ?? obstacle.message };
  } catch {
    return { kind: 'no-server' };
  }
}

/** Which pictures of a room the server has whole; undefined where it cannot be asked. */
export async function fetchPictureIds(room: string): Promise<string[] | undefined> {
  return (await read(picturesOf(room), api.pictureList).catch(() => undefined))?.whole;
}

/** A picture that the server has; undefined where it does not, or cannot be reached. */
export const fetchPicture = (room: string, id: string): Promise<Uint8Array | undefined> =>
  fetchJpeg(`${picturesOf(room)}/${id}`);

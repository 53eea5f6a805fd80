import {
  api,
  catalogue,
  checkFile,
  type Catalogue,
  type Fault,
  type MountHistory,
  type RoomSummary,
  type SaveMount,
  type SaveRequest,
} from '@steddo/contract';

export type SendResult =
  | { kind: 'sent'; version: number }
  | { kind: 'stale'; theirs: RoomSummary }
  | { kind: 'refused'; message: string; faults: Fault[] }
  | { kind: 'offline' };

const PATIENCE_MS = 8000;

/** The server could not be reached, or did not answer as it should. */
export class NoServer extends Error {}

async function ask(path: string, init?: RequestInit): Promise<Response> {
  try {
    return await fetch(path, { ...init, signal: AbortSignal.timeout(PATIENCE_MS) });
  } catch {
    throw new NoServer('no server');
  }
}

async function read<T>(path: string, check: (value: unknown) => T): Promise<T> {
  const response = await ask(path);
  if (!response.ok) throw new NoServer(`${path} answered ${response.status}`);
  return check(await response.json());
}

const valid =
  <T>(schema: Parameters<typeof checkFile<T>>[0]) =>
  (value: unknown): T => {
    const checked = checkFile(schema, value);
    if (!checked.ok) throw new NoServer(`unexpected answer at ${checked.faults[0]?.path ?? '?'}`);
    return checked.value;
  };

export const fetchRooms = (): Promise<RoomSummary[]> =>
  read('/api/rooms', valid(api.roomList)).then((list) => list.rooms);

export const fetchCatalogue = (): Promise<Catalogue> => read('/api/catalogue', valid(catalogue));

/** Undefined when the server knows no such room. */
export async function fetchRoom(id: string): Promise<RoomSummary | undefined> {
  const response = await ask(`/api/rooms/${id}`);
  if (response.status === 404) return undefined;
  if (!response.ok) throw new NoServer(`room answered ${response.status}`);
  return valid(api.roomReply)(await response.json());
}

export async function sendRoom(id: string, save: SaveRequest): Promise<SendResult> {
  try {
    const response = await ask(`/api/rooms/${id}`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(save),
    });
    const body: unknown = await response.json();
    if (response.ok) return { kind: 'sent', version: valid(api.savedReply)(body).version };
    if (response.status === 409) return { kind: 'stale', theirs: valid(api.staleReply)(body).theirs };
    if (response.status >= 500) return { kind: 'offline' };
    const reply = valid(api.errorReply)(body);
    return { kind: 'refused', message: reply.message, faults: reply.faults ?? [] };
  } catch {
    return { kind: 'offline' };
  }
}

/** A mount on its way to the server; refused ones stay on the device. */
export async function sendMount(edit: SaveMount): Promise<'sent' | 'offline' | 'refused'> {
  try {
    const response = await ask(`/api/catalogue/mounts/${encodeURIComponent(edit.mount.id)}`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(edit),
    });
    if (response.ok) return 'sent';
    return response.status >= 500 ? 'offline' : 'refused';
  } catch {
    return 'offline';
  }
}

/** Every version of a mount, the latest first; empty where the server knows none. */
export async function fetchHistory(id: string): Promise<MountHistory['versions']> {
  const response = await ask(`/api/catalogue/mounts/${encodeURIComponent(id)}/history`);
  if (response.status === 404) return [];
  if (!response.ok) throw new NoServer(`history answered ${response.status}`);
  return valid(api.mountHistory)(await response.json()).versions;
}

export type ImportResult = { kind: 'taken'; mounts: number } | { kind: 'refused'; message: string; faults: Fault[] };

/** A file of twenty thousand mounts takes longer than anything else that is sent. */
const IMPORT_PATIENCE_MS = 120_000;

/** Gives a whole catalogue file to the server, which takes all of it or nothing. */
export async function sendCatalogue(file: Blob, csv: boolean): Promise<ImportResult> {
  try {
    const response = await fetch('/api/catalogue/import', {
      method: 'POST',
      headers: { 'content-type': csv ? 'text/csv' : 'application/json' },
      body: file,
      signal: AbortSignal.timeout(IMPORT_PATIENCE_MS),
    });
    const body: unknown = await response.json();
    if (response.ok) return { kind: 'taken', mounts: valid(api.importedReply)(body).mounts };
    const reply = valid(api.errorReply)(body);
    return { kind: 'refused', message: reply.message, faults: reply.faults ?? [] };
  } catch {
    const message = 'the server cannot be reached; nothing was taken';
    return { kind: 'refused', message, faults: [] };
  }
}

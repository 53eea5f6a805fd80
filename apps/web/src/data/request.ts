import { JOB_BOUNDS, api, checkFile } from '@steddo/contract';
import { crewState, isStranger } from './crewState';
import { obstacleText, type Obstacle } from './sendResult';

export const PATIENCE_MS = 8000;
/** What only a device that is in gets an answer to. */
const ROOMS = /^\/api\/(rooms|changes)/;

/** What stood between here and an answer of the server. */
export class Unanswered extends Error {
  constructor(readonly obstacle: Obstacle) {
    super(obstacle.why);
  }
}

export const fail = (obstacle: Obstacle): never => {
  throw new Unanswered(obstacle);
};

/** Asks the server; an answer that is not its own is none. */
export async function ask(path: string, init?: RequestInit, patience = PATIENCE_MS): Promise<Response> {
  let response: Response;
  try {
    response = await fetch(path, { ...init, redirect: 'manual', signal: AbortSignal.timeout(patience) });
  } catch {
    return fail({ why: 'no-server' });
  }
  // it was let in meanwhile, in another tab, or nobody is asked any more
  if (response.ok && ROOMS.test(path) && isStranger(crewState.get().kind)) crewState.set({ kind: 'unasked' });
  const type = response.headers.get('content-type') ?? '';
  if (response.type === 'opaqueredirect' || (response.status >= 300 && response.status < 400) || !type.includes('json'))
    return fail(
      response.status >= 500
        ? { why: 'server-failed', message: `it answered ${response.status}` }
        : { why: 'in-between' },
    );
  return response;
}

export async function bodyOf(response: Response): Promise<unknown> {
  try {
    return await response.json();
  } catch {
    return fail({ why: 'in-between' });
  }
}

export function valid<T>(schema: Parameters<typeof checkFile<T>>[0], value: unknown, bounds = JOB_BOUNDS): T {
  const checked = checkFile(schema, value, bounds);
  return checked.ok ? checked.value : fail({ why: 'in-between' });
}

/** The server does not know this device: whoever follows that hears of it. */
function strangerHere(error: string): Obstacle {
  const why = error === 'taken-out' ? 'taken-out' : 'passcode';
  if (crewState.get().kind !== why) crewState.set({ kind: why });
  return { why };
}

/** What a refusal says; the server's own words where it gave them. */
export async function obstacleOf(response: Response): Promise<Obstacle> {
  const { status } = response;
  const body = checkFile(api.errorReply, await bodyOf(response));
  const message = body.ok ? body.value.message : `it answered ${status}`;
  if (status === 401) return strangerHere(body.ok ? body.value.error : '');
  if (status === 403) return { why: 'not-secure', message };
  if (status === 413) return { why: 'too-large' };
  if (status === 429) return { why: 'too-many' };
  if (status === 507) return { why: 'server-full', message };
  if (status >= 500) return { why: 'server-failed', message };
  if (status === 404 || status === 405 || status === 421) return { why: 'not-there' };
  return { why: 'not-valid', message, faults: body.ok ? (body.value.faults ?? []) : [] };
}

export async function read<T>(
  path: string,
  schema: Parameters<typeof checkFile<T>>[0],
  bounds = JOB_BOUNDS,
): Promise<T> {
  const response = await ask(path);
  if (!response.ok) fail(await obstacleOf(response));
  return valid(schema, await bodyOf(response), bounds);
}

export const asJson = (method: 'PUT' | 'POST' | 'DELETE', body?: unknown): RequestInit => ({
  method,
  ...(body === undefined ? {} : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
});

export async function attempt<T>(work: () => Promise<T>): Promise<T | { kind: 'obstacle'; obstacle: Obstacle }> {
  try {
    return await work();
  } catch (error) {
    return { kind: 'obstacle', obstacle: error instanceof Unanswered ? error.obstacle : { why: 'no-server' } };
  }
}

/** A picture of the server; undefined where it has none, or cannot be reached. */
export async function fetchJpeg(path: string, init?: RequestInit): Promise<Uint8Array | undefined> {
  try {
    const response = await fetch(path, { ...init, signal: AbortSignal.timeout(PATIENCE_MS) });
    if (!response.ok || response.headers.get('content-type') !== 'image/jpeg') return undefined;
    return new Uint8Array(await response.arrayBuffer());
  } catch {
    return undefined;
  }
}

/** What went wrong with something that was asked, in a sentence. */
export const failureText = (error: unknown): string =>
  error instanceof Unanswered ? obstacleText(error.obstacle) : 'The server cannot be reached.';

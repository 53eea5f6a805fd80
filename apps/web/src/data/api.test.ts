/** @jest-environment node */
import { NoServer, fetchRoom, fetchRooms, sendRoom } from './api';
import { newRoom } from './newRoom';

const job = newRoom('Test', 'metric');
const room = { id: 'r-1', version: 3, title: 'Test', savedAt: '2026-03-14T09:30:00Z', job };
const save = { editId: 'e1', baseVersion: 2, touched: ['title'], job };

/** The network answers so, once. */
function answer(status: number, body: unknown): jest.SpyInstance {
  const reply = new Response(JSON.stringify(body), { status });
  return jest.spyOn(globalThis, 'fetch').mockResolvedValueOnce(reply);
}
afterEach(() => jest.restoreAllMocks());

describe('sending a room', () => {
  it('puts the whole edit and takes the new version', async () => {
    const fetched = answer(200, { id: 'r-1', version: 3, savedAt: 'now' });
    expect(await sendRoom('r-1', save)).toEqual({ kind: 'sent', version: 3 });
    const [path, init] = fetched.mock.calls[0] as [string, RequestInit];
    expect([path, init.method, JSON.parse(String(init.body))]).toEqual([
      '/api/rooms/r-1',
      'PUT',
      JSON.parse(JSON.stringify(save)),
    ]);
  });
  it('a stale save brings both versions', async () => {
    answer(409, { error: 'stale', message: 'm', mine: save, theirs: room });
    expect(await sendRoom('r-1', save)).toMatchObject({
      kind: 'stale',
      theirs: { version: 3, title: 'Test' },
    });
  });
  it('a refusal keeps its faults', async () => {
    const faults = [{ path: 'job.units', reason: 'takes …' }];
    answer(422, { error: 'refused', message: 'not valid', faults });
    expect(await sendRoom('r-1', save)).toEqual({ kind: 'refused', message: 'not valid', faults });
  });
  it.each([
    ['a server that fails', () => answer(500, { error: 'internal', message: 'm' })],
    ['no network', () => jest.spyOn(globalThis, 'fetch').mockRejectedValueOnce(new TypeError('down'))],
    ['an answer that is not ours', () => answer(200, { hello: 'world' })],
    [
      'a page in place of an answer',
      () => jest.spyOn(globalThis, 'fetch').mockResolvedValueOnce(new Response('<html>')),
    ],
  ])('%s means: later', async (_, prepare) => {
    prepare();
    expect(await sendRoom('r-1', save)).toEqual({ kind: 'offline' });
  });
});

describe('fetching', () => {
  it('rooms come validated', async () => {
    answer(200, { rooms: [room] });
    expect((await fetchRooms())[0]).toMatchObject({ id: 'r-1', version: 3 });
    answer(200, { rooms: [{ ...room, job: { ...job, units: 'feet' } }] });
    await expect(fetchRooms()).rejects.toThrow(NoServer);
  });
  it('a room that the server does not know is no fault', async () => {
    answer(404, { error: 'refused', message: 'm' });
    expect(await fetchRoom('r-2')).toBeUndefined();
    answer(503, {});
    await expect(fetchRoom('r-2')).rejects.toThrow(NoServer);
  });
});

/** @jest-environment node */
import { fetchRoom, fetchRooms, sendRoom } from './api';
import { Unanswered } from './request';
import { newRoom } from './newRoom';
import { OBSTACLE_SHORT, obstacleText, type Obstacle } from './sendResult';

const job = newRoom('Test', 'metric');
const head = {
  id: 'r-1',
  version: 3,
  revision: 'm3',
  title: 'Test',
  savedAt: '2026-03-14T09:30:00Z',
  person: '',
  device: '',
};
const room = { ...head, job };
const save = { editId: 'e1', baseVersion: 2, touched: ['title'], job };
const JSON_TYPE = { 'content-type': 'application/json; charset=utf-8' };

/** The network answers so, once. */
function answer(status: number, body: unknown, headers: Record<string, string> = JSON_TYPE): jest.SpyInstance {
  const text = typeof body === 'string' ? body : JSON.stringify(body);
  return jest.spyOn(globalThis, 'fetch').mockResolvedValueOnce(new Response(text, { status, headers }));
}
afterEach(() => jest.restoreAllMocks());

describe('sending a room', () => {
  it('puts the whole edit and takes the new version', async () => {
    const fetched = answer(200, { id: 'r-1', version: 3, revision: 'm3', database: 'd', savedAt: 'now' });
    expect(await sendRoom('r-1', save)).toMatchObject({ kind: 'sent', version: 3, revision: 'm3', database: 'd' });
    const [path, init] = fetched.mock.calls[0] as [string, RequestInit];
    expect([path, init.method, JSON.parse(String(init.body))]).toEqual([
      '/api/rooms/r-1',
      'PUT',
      JSON.parse(JSON.stringify(save)),
    ]);
  });
  it('a save that came too late brings theirs, and what was saved since', async () => {
    const since = [
      { version: 3, revision: 'm3', savedAt: 'now', person: 'p', device: 'x', editId: 'e0', touched: ['title'] },
    ];
    answer(409, { error: 'stale', message: 'm', database: 'd', theirs: room, known: true, since });
    expect(await sendRoom('r-1', save)).toMatchObject({ kind: 'stale', theirs: { version: 3 }, known: true, since });
  });
  it('a server that has lost the room, or where it was taken away, says which', async () => {
    answer(404, { error: 'unknown', message: 'm', database: 'd2' });
    expect(await sendRoom('r-1', save)).toEqual({ kind: 'unknown', database: 'd2' });
    answer(410, { error: 'deleted', message: 'm', database: 'd', deletedAt: 'then' });
    expect(await sendRoom('r-1', save)).toEqual({ kind: 'deleted', deletedAt: 'then', database: 'd' });
  });
  const page = '<html>Welcome to the guest network</html>';
  const said = (message: string) => ({ error: 'x', message });
  it.each<[string, () => unknown, Obstacle['why'], RegExp]>([
    [
      'no network',
      () => jest.spyOn(globalThis, 'fetch').mockRejectedValueOnce(new TypeError('down')),
      'no-server',
      /cannot be reached/,
    ],
    ['a sign-in page', () => answer(200, page, { 'content-type': 'text/html' }), 'in-between', /sign-in page/],
    ['a redirect', () => answer(302, '', { location: 'https://elsewhere.example/' }), 'in-between', /sign-in page/],
    ['JSON that is not ours', () => answer(200, { hello: 'world' }), 'in-between', /sign-in page/],
    ['half an answer', () => answer(200, '{"id":'), 'in-between', /sign-in page/],
    ['401', () => answer(401, said('who are you')), 'passcode', /asks who you are/],
    [
      '401 of one taken out',
      () => answer(401, { error: 'taken-out', message: 'm' }),
      'taken-out',
      /taken out of the crew/,
    ],
    ['403', () => answer(403, said('use https')), 'not-secure', /use https/],
    ['404 of another program', () => answer(404, said('nothing here')), 'not-there', /another program/],
    ['413', () => answer(413, said('too large')), 'too-large', /2 MB/],
    [
      '422',
      () => answer(422, { ...said('not valid'), faults: [{ path: 'job.units', reason: 'takes …' }] }),
      'not-valid',
      /job\.units takes …/,
    ],
    ['429', () => answer(429, said('slow down')), 'too-many', /too many requests/],
    ['500', () => answer(500, said('something went wrong here')), 'server-failed', /something went wrong here/],
    ['502 of a proxy, as a page', () => answer(502, page, { 'content-type': 'text/html' }), 'server-failed', /502/],
    ['503', () => answer(503, said('another program holds the database')), 'server-failed', /holds the database/],
    ['507', () => answer(507, said('the disk is full')), 'server-full', /the disk is full/],
  ])('%s: a sentence that is true of it', async (_, prepare, why, sentence) => {
    prepare();
    const result = await sendRoom('r-1', save);
    if (result.kind !== 'obstacle') throw new Error(`was ${result.kind}`);
    expect(result.obstacle.why).toBe(why);
    expect(obstacleText(result.obstacle)).toMatch(sentence);
    if (why !== 'no-server') expect(obstacleText(result.obstacle)).not.toMatch(/cannot be reached/);
    expect(OBSTACLE_SHORT[why]).not.toBe('');
  });
});

describe('fetching', () => {
  it('rooms come validated', async () => {
    answer(200, { database: 'd', rooms: [head], more: false, deleted: [], aside: [] });
    expect((await fetchRooms()).rooms[0]).toMatchObject({ id: 'r-1', version: 3 });
    answer(200, { database: 'd', rooms: [{ ...head, version: -1 }], more: false, deleted: [], aside: [] });
    await expect(fetchRooms()).rejects.toThrow(Unanswered);
  });
  it('a room that the server does not know is no fault; a server that fails is one', async () => {
    answer(404, { error: 'unknown', message: 'm', database: 'd' });
    expect(await fetchRoom('r-2')).toEqual({ kind: 'unknown', database: 'd' });
    answer(503, { error: 'locked', message: 'm' });
    await expect(fetchRoom('r-2')).rejects.toThrow(Unanswered);
  });
});

import { spawn } from 'node:child_process';
import { copyFileSync, existsSync, mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { demoRooms, guestRoom } from '@steddo/samples';
import { expect, test } from './fixtures';
import { MAIN, ROOT, freePort, runToEnd, testServer } from './server';

/** Times that the server is killed under load; the long run does it a thousand times. */
const KILLS = Number(process.env.STEDDO_SERVER_KILLS ?? 8);

test(`the server killed ${KILLS} times under load loses nothing that it had acknowledged`, async () => {
  test.setTimeout(60_000 + KILLS * 3000);
  const server = await testServer('catalogue');
  const acknowledged = new Map<string, number[]>();
  const latest = new Map<string, number>();
  let [n, answered] = [0, 0];
  let loading = true;
  const load = async (room: string) => {
    while (loading) {
      const edit = ++n;
      const body = {
        editId: `e${edit}`,
        baseVersion: latest.get(room) ?? 0,
        touched: [],
        job: { ...guestRoom, title: `edit ${edit}` },
      };
      try {
        const answer = await fetch(`${server.url}/api/rooms/${room}`, {
          method: 'PUT',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify(body),
          signal: AbortSignal.timeout(3000),
        });
        const said = (await answer.json()) as { version?: number; theirs?: { version: number } };
        if (answer.status === 200) {
          acknowledged.set(room, [...(acknowledged.get(room) ?? []), edit]);
          answered += 1;
        }
        latest.set(room, said.version ?? said.theirs?.version ?? 0);
      } catch {
        // killed in the middle: nothing was acknowledged
        await new Promise((resolve) => setTimeout(resolve, 5));
      }
    }
  };
  const loads = ['k1', 'k2', 'k3'].map(load);
  for (let kill = 0; kill < KILLS; kill++) {
    // under load each time: something was acknowledged since it started, and then at any moment
    const before = answered;
    await expect.poll(() => answered, { intervals: [10] }).toBeGreaterThan(before);
    await new Promise((resolve) => setTimeout(resolve, (kill * 29) % 90));
    await server.kill();
    await server.start();
  }
  loading = false;
  await Promise.all(loads);
  for (const [room, edits] of acknowledged) {
    const { revisions } = (await (await fetch(`${server.url}/api/rooms/${room}/revisions`)).json()) as {
      revisions: { editId: string }[];
    };
    const kept = new Set(revisions.map((r) => r.editId));
    expect(edits.filter((e) => !kept.has(`e${e}`))).toEqual([]);
  }
  expect(answered).toBeGreaterThanOrEqual(KILLS);
  await server.kill();
});

test.describe('a server that cannot start says why in one line', () => {
  const folder = mkdtempSync(join(tmpdir(), 'steddo-start-'));
  const start = async (database: string, env: Record<string, string> = {}) =>
    runToEnd(process.execPath, [MAIN], { STEDDO_PORT: String(await freePort()), STEDDO_DB: database, ...env });
  const oneLine = ({ code, err }: { code: number | null; err: string }) => {
    expect(code).toBe(1);
    const lines = err.split('\n').filter((l) => l !== '');
    expect(lines).toHaveLength(1);
    expect(lines[0]).not.toMatch(/ at .*:\d+:\d+|SQLITE|Error:/);
    return lines[0]!;
  };
  test('a folder, a path through a file, a newer database, a second server', async () => {
    mkdirSync(join(folder, 'a-folder'));
    expect(oneLine(await start(join(folder, 'a-folder')))).toContain('is a folder; name a file in it');
    writeFileSync(join(folder, 'a-file'), 'x');
    expect(oneLine(await start(join(folder, 'a-file', 'rooms.db')))).toContain('a part of its path is a file');
    const server = await testServer('catalogue');
    expect(oneLine(await start(server.database))).toContain('is in use by another Steddo');
    await server.kill();
  });
  test('backup while it runs, restore when it does not; what is no backup is refused', async () => {
    const server = await testServer('demo');
    const env = { STEDDO_DB: server.database };
    const file = join(folder, 'backup.db');
    const run = (...args: string[]) => runToEnd('node', [join(ROOT, 'scripts/database.mjs'), ...args], env, folder);
    const saved = await run('backup', file);
    expect([saved.code, saved.out, existsSync(file)]).toEqual([0, expect.stringContaining('backed up to'), true]);
    expect(oneLine(await run('restore', file))).toContain('in use by another Steddo');
    await fetch(`${server.url}/api/rooms/guest-room`, { method: 'DELETE' });
    await server.kill();
    writeFileSync(join(folder, 'list.txt'), 'milk, screws');
    expect(oneLine(await run('restore', join(folder, 'list.txt')))).toMatch(/list\.txt.*(no backup|cannot be used)/);
    const back = await run('restore', file);
    expect([back.code, back.out]).toEqual([0, expect.stringContaining(`put back ${demoRooms.length} rooms`)]);
    await server.start();
    expect((await fetch(`${server.url}/api/rooms/guest-room`)).status).toBe(200);
    await server.kill();
  });
  test('stopped in order it leaves everything in the one file', async () => {
    const database = join(folder, 'stopped.db');
    const port = await freePort();
    const env = {
      ...process.env,
      STEDDO_DB: database,
      STEDDO_PORT: String(port),
      STEDDO_LOG: 'silent',
      STEDDO_SEED: 'demo',
    };
    const server = spawn(process.execPath, [MAIN], { env, stdio: ['ignore', 'pipe', 'inherit'] });
    await new Promise((resolve) => server.stdout.once('data', resolve));
    const ended = new Promise((resolve) => server.once('exit', resolve));
    server.kill('SIGTERM');
    expect(await ended).toBe(0);
    const alone = join(folder, 'alone.db');
    copyFileSync(database, alone);
    const other = spawn(process.execPath, [MAIN], {
      env: { ...env, STEDDO_DB: alone, STEDDO_SEED: 'catalogue' },
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    await new Promise((resolve) => other.stdout.once('data', resolve));
    const list = (await (await fetch(`http://localhost:${port}/api/rooms`)).json()) as { rooms: unknown[] };
    other.kill('SIGKILL');
    expect(list.rooms).toHaveLength(demoRooms.length);
  });
});

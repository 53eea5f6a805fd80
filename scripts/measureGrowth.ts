import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, readFileSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'libsql';
import { guestRoom } from '@steddo/samples';

/** The part of npm run bench that is about growth: one process with ten, a thousand and a hundred thousand rooms. */
const SIZES = [10, 1000, 100_000];
const TIMES = 60;
const AT_ONCE = 16;
const SECONDS = 4;
let port = 4890;

const at = (times: readonly number[], share: number): number =>
  [...times].sort((a, b) => a - b)[Math.min(times.length - 1, Math.floor(times.length * share))] ?? 0;

async function start(database: string) {
  const own = String(port++);
  const env = { ...process.env, STEDDO_PORT: own, STEDDO_DB: database, STEDDO_SEED: 'catalogue', STEDDO_LOG: 'silent' };
  const begun = performance.now();
  const child = spawn(process.execPath, ['apps/server/dist/main.mjs'], { env, stdio: ['ignore', 'pipe', 'inherit'] });
  await new Promise((resolve) => child.stdout.once('data', resolve));
  return { child, url: `http://localhost:${own}`, startMs: performance.now() - begun };
}

async function stop(child: ChildProcess): Promise<void> {
  const ended = new Promise((resolve) => child.once('exit', resolve));
  child.kill('SIGTERM');
  await ended;
}

/** Rooms as they would lie there, each with one revision. */
function fill(database: string, rooms: number): void {
  const db = new Database(database);
  const job = JSON.stringify(guestRoom);
  const moment = `strftime('%Y-%m-%dT%H:%M:%fZ', '2020-01-01', '+' || n || ' minutes')`;
  const count = `with recursive c(n) as (select 1 union all select n + 1 from c where n < ${rooms})`;
  db.prepare(
    `${count} insert into rooms (id, version, title, saved_at, job, revision, words)
     select 'r-' || n, 1, 'Room ' || n, ${moment}, ?, 'rev-' || n, 'room ' || n || ' wide arm' from c`,
  ).run(job);
  db.prepare(
    `${count} insert into revisions (room_id, version, edit_id, saved_at, touched, job, revision)
     select 'r-' || n, 1, 'e-' || n, ${moment}, '[]', ?, 'rev-' || n from c`,
  ).run(job);
  db.close();
}

async function timed(path: (i: number) => string): Promise<string> {
  const times: number[] = [];
  for (let i = 0; i < TIMES; i++) {
    const begun = performance.now();
    const answer = await fetch(path(i));
    await answer.arrayBuffer();
    if (!answer.ok) throw new Error(`${path(i)} was answered with ${answer.status}`);
    times.push(performance.now() - begun);
  }
  return `${at(times, 0.5).toFixed(1)} ms (p99 ${at(times, 0.99).toFixed(1)})`;
}

/** Requests a second that one process answers when it is always asked for the next one. */
async function perSecond(ask: (i: number) => Promise<Response>): Promise<number> {
  let done = 0;
  const end = performance.now() + SECONDS * 1000;
  const one = async () => {
    while (performance.now() < end) {
      const answer = await ask(done);
      await answer.arrayBuffer();
      if (!answer.ok) throw new Error(`was answered with ${answer.status}`);
      done += 1;
    }
  };
  await Promise.all(Array.from({ length: AT_ONCE }, one));
  return Math.round(done / SECONDS);
}

const memoryOf = ({ pid }: ChildProcess): number => {
  const status = readFileSync(`/proc/${pid}/status`, 'utf8');
  return Math.round(Number(/VmRSS:\s+(\d+)/.exec(status)?.[1] ?? 0) / 1024);
};

for (const rooms of SIZES) {
  const database = join(mkdtempSync(join(tmpdir(), 'steddo-growth-')), 'rooms.db');
  await stop((await start(database)).child);
  fill(database, rooms);
  const { child, url, startMs } = await start(database);
  const any = (i: number) => `r-${1 + ((i * 7919) % rooms)}`;
  const deep = encodeURIComponent('2020-01-01T05:00:00.000Z r-1');
  console.log(`${rooms} rooms, ${Math.round(statSync(database).size / 1e6)} MB: up after ${Math.round(startMs)} ms`);
  console.log(`  top of the list ${await timed(() => `${url}/api/rooms`)}`);
  console.log(`  its far end ${await timed(() => `${url}/api/rooms?after=${deep}`)}`);
  console.log(`  looked for, found late ${await timed((i) => `${url}/api/rooms?words=room ${1 + (i % 9)} `)}`);
  console.log(`  looked for, not found ${await timed(() => `${url}/api/rooms?words=nothing of it`)}`);
  const ids = Array.from({ length: 40 }, (_, i) => any(i)).join(',');
  console.log(
    `  how 40 rooms stand ${await timed(() => `${url}/api/rooms/heads?ids=${[...new Set(ids.split(','))].join(',')}`)}`,
  );
  const read = await perSecond((i) => fetch(`${url}/api/rooms/${any(i)}`));
  const changes = await perSecond(() => fetch(`${url}/api/changes?since=x.1`));
  let saved = 0;
  const save = await perSecond(() => {
    const data = { editId: `s-${++saved}`, baseVersion: 0, touched: [], job: guestRoom };
    const init = { method: 'PUT', headers: { 'content-type': 'application/json' }, body: JSON.stringify(data) };
    return fetch(`${url}/api/rooms/new-${saved}`, init);
  });
  console.log(
    `  one process answers ${read} rooms, ${changes} questions for changes, ${save} saves a second; it has ${memoryOf(child)} MB`,
  );
  await stop(child);
}

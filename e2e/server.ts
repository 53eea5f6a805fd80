import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** A Steddo server of a test's own: its port, its database, and a switch. */
export interface TestServer {
  url: string;
  start: () => Promise<void>;
  /** Ends it at once, as a power cut would. */
  kill: () => Promise<void>;
  /** Starts it again over a database with nothing in it. */
  emptied: () => Promise<void>;
  /** Where its database lies. */
  database: string;
}

export const ROOT = fileURLToPath(new URL('..', import.meta.url));
export const MAIN = join(ROOT, 'apps/server/dist/main.mjs');

export async function freePort(): Promise<number> {
  return new Promise((resolve, reject) => {
    const probe = createServer();
    probe.once('error', reject);
    probe.listen(0, '127.0.0.1', () => {
      const address = probe.address();
      const port = typeof address === 'object' && address ? address.port : 0;
      probe.close(() => resolve(port));
    });
  });
}

export async function testServer(seed: 'demo' | 'catalogue', other: Record<string, string> = {}): Promise<TestServer> {
  const port = await freePort();
  const env = {
    ...process.env,
    STEDDO_PORT: String(port),
    STEDDO_DB: join(mkdtempSync(join(tmpdir(), 'steddo-e2e-')), 'rooms.db'),
    STEDDO_WEB: join(ROOT, 'apps/web/dist'),
    STEDDO_SEED: seed,
    STEDDO_LOG: 'error',
    ...other,
  };
  let child: ChildProcess | undefined;
  const url = `http://localhost:${port}`;
  const start = async () => {
    child = spawn(process.execPath, [MAIN], { env, stdio: ['ignore', 'pipe', 'inherit'] });
    await new Promise<void>((resolve, reject) => {
      child!.stdout!.once('data', () => resolve());
      child!.once('exit', (code) => reject(new Error(`the server ended with ${code}`)));
    });
  };
  const kill = async () => {
    const ending = child;
    child = undefined;
    if (!ending || ending.exitCode !== null) return;
    await new Promise((resolve) => {
      ending.once('exit', resolve);
      ending.kill('SIGKILL');
    });
  };
  const emptied = async () => {
    await kill();
    env.STEDDO_DB = join(mkdtempSync(join(tmpdir(), 'steddo-e2e-')), 'rooms.db');
    await start();
  };
  await start();
  return { url, start, kill, emptied, database: env.STEDDO_DB };
}

/** Runs a program to its end: what it said and how it ended. */
export async function runToEnd(command: string, args: string[], env: Record<string, string> = {}, cwd = ROOT) {
  return new Promise<{ code: number | null; out: string; err: string }>((resolve) => {
    const child = spawn(command, args, { env: { ...process.env, ...env }, cwd });
    let [out, err] = ['', ''];
    child.stdout.on('data', (d) => (out += String(d)));
    child.stderr.on('data', (d) => (err += String(d)));
    child.once('exit', (code) => resolve({ code, out, err }));
  });
}

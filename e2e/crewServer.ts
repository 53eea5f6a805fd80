import { spawn } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser, Page } from '@playwright/test';
import { generate } from 'selfsigned';
import { MAIN, ROOT, freePort, testServer, type TestServer } from './server';

export const PASSCODE = 'a ladder, a tape and a level';
export const HOST = 'rooms.test';

/** A certificate and its key, made on the spot. */
export async function certificate(): Promise<{ cert: string; key: string }> {
  const folder = mkdtempSync(join(tmpdir(), 'steddo-tls-'));
  const made = await generate([{ name: 'commonName', value: 'localhost' }], {
    keySize: 2048,
    extensions: [
      {
        name: 'subjectAltName',
        altNames: [
          { type: 2, value: 'localhost' },
          { type: 2, value: HOST },
        ],
      },
    ],
  });
  const files = { cert: join(folder, 'cert.pem'), key: join(folder, 'key.pem') };
  writeFileSync(files.cert, made.cert);
  writeFileSync(files.key, made.private);
  return files;
}

/** Sets the crew's passcode as whoever looks after a server does: the program, and the passcode piped into it. */
export async function setPasscode(env: Record<string, string>, passcode = PASSCODE) {
  return new Promise<{ code: number | null; out: string; err: string }>((resolve) => {
    const child = spawn(process.execPath, [MAIN, 'passcode'], { env: { ...process.env, ...env }, cwd: ROOT });
    let [out, err] = ['', ''];
    child.stdout.on('data', (d) => (out += String(d)));
    child.stderr.on('data', (d) => (err += String(d)));
    child.once('exit', (code) => resolve({ code, out, err }));
    child.stdin.end(`${passcode}\n`);
  });
}

/** A crew's server that does its own encrypting. */
export async function crewServer(seed: 'demo' | 'catalogue' = 'demo'): Promise<TestServer> {
  const { cert, key } = await certificate();
  const database = join(mkdtempSync(join(tmpdir(), 'steddo-crew-')), 'rooms.db');
  await setPasscode({ STEDDO_DB: database });
  const settings = { STEDDO_TLS_CERT: cert, STEDDO_TLS_KEY: key, STEDDO_HOSTS: HOST, STEDDO_DB: database };
  const server = await testServer(seed, settings);
  return { ...server, url: server.url.replace('http:', 'https:') };
}

/** A phone of its own, that takes the made-up certificate for a real one. */
export async function phone(browser: Browser, size = { width: 390, height: 844 }): Promise<Page> {
  const context = await browser.newContext({
    viewport: size,
    hasTouch: true,
    serviceWorkers: 'block',
    ignoreHTTPSErrors: true,
  });
  return context.newPage();
}

/** Lets a phone in by the passcode. */
export async function letIn(page: Page, server: TestServer, person: string, device: string): Promise<void> {
  await page.goto(`${server.url}/crew`);
  await page.getByTestId('choice-passcode').click();
  await page.getByTestId('enter-passcode').fill(PASSCODE);
  await page.getByTestId('enter-person').fill(person);
  await page.getByTestId('enter-device').fill(device);
  await page.getByTestId('enter-go').click();
  await page.getByTestId('new-room').waitFor();
}

export { freePort };

import { mkdtempSync, readFileSync, statSync } from 'node:fs';
import { request as plainRequest } from 'node:http';
import { createServer as encryptedServer } from 'node:https';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import jsQR from 'jsqr';
import sharp from 'sharp';
import { chromium } from '@playwright/test';
import { guestRoom } from '@steddo/samples';
import { standIn } from '../apps/server/test/standIn';
import { seriousFaults } from './axe';
import { HOST, PASSCODE, certificate, crewServer, freePort, letIn, phone, setPasscode } from './crewServer';
import { expect, isSent, test, type } from './fixtures';
import { MAIN, runToEnd, testServer } from './server';

const edit = (editId: string, baseVersion: number, title = editId) => ({
  editId,
  baseVersion,
  touched: [],
  job: { ...guestRoom, title },
});

test('two phones over TLS: one is let in by the passcode, one by the picture of a code; a lost one keeps its edits, sends none, and sends them once it is let in again', async ({
  browser,
}) => {
  const server = await crewServer();
  const [kim, alex] = [await phone(browser), await phone(browser)];
  // a wrong passcode is said at its place, and what was typed stays
  await kim.goto(server.url);
  await kim.getByTestId('asked-who').getByTestId('to-crew').click();
  await kim.getByTestId('enter').waitFor();
  expect(await seriousFaults(kim, 'light', true)).toEqual([]);
  await kim.getByTestId('choice-passcode').click();
  await kim.getByTestId('enter-passcode').fill('another ladder');
  await kim.getByTestId('enter-go').click();
  await expect(kim.getByTestId('enter-person-fault')).toHaveText('takes a name');
  await kim.getByTestId('enter-person').fill('Kim');
  await kim.getByTestId('enter-device').fill('blue phone');
  await kim.getByTestId('enter-go').click();
  await expect(kim.getByTestId('not-let-in')).toHaveText('Not let in: this is not the crew’s passcode.');
  await expect(kim.getByTestId('enter-person')).toHaveValue('Kim');
  await kim.getByTestId('enter-passcode').fill(PASSCODE);
  await expect(kim.getByTestId('enter-passcode')).toHaveAttribute('type', 'password');
  await kim.getByTestId('enter-passcode-see').click();
  await expect(kim.getByTestId('enter-passcode')).not.toHaveAttribute('type', 'password');
  await expect(kim.getByTestId('enter-passcode')).toHaveAttribute('autocapitalize', 'none');
  await kim.getByTestId('enter-go').click();
  await expect(kim.getByTestId('room-guest-room')).toBeVisible();
  // no script of the page can read what the phone proves itself by
  expect(await kim.evaluate(() => document.cookie)).toBe('');

  // the picture, read back as a camera would, leads the other phone in
  await kim.goto(`${server.url}/crew`);
  await kim.getByTestId('offer-code').click();
  const code = (await kim.getByTestId('code').textContent())!.replace(' ', '');
  expect(await seriousFaults(kim, 'dark', true)).toEqual([]);
  const shot = await kim.getByRole('img', { name: /picture of the code/ }).screenshot();
  const { data, info } = await sharp(shot).ensureAlpha().raw().toBuffer({ resolveWithObject: true });
  const read = jsQR(new Uint8ClampedArray(data), info.width, info.height)?.data;
  expect(read).toBe(`${server.url}/crew#${code}`);
  await alex.goto(read!);
  await expect(alex.getByTestId('enter-code')).toHaveValue(code);
  // it stays in no history
  await expect(alex).toHaveURL(`${server.url}/crew`);
  await alex.getByTestId('enter-person').fill('Alex');
  await alex.getByTestId('enter-device').fill('red phone');
  await alex.getByTestId('enter-go').click();
  await alex.getByTestId('room-guest-room').waitFor();

  // Alex works; the phone is taken out in the middle of it
  await alex.goto(`${server.url}/room/guest-room/set`);
  await isSent(alex);
  await type(alex, 'screen.mass', '21');
  await isSent(alex);
  await kim.goto(`${server.url}/crew`);
  await kim.getByRole('button', { name: 'take red phone out' }).click();
  await expect(kim.getByText('what it has not sent yet waits there')).toBeVisible();
  await kim.getByTestId('confirm').click();
  await expect(kim.getByText('taken out: 1')).toBeVisible();
  await type(alex, 'screen.mass', '22');
  await expect(alex.getByTestId('obstacle')).toContainText('taken out of the crew');
  await expect(alex.getByTestId('save-state')).toContainText('not in the crew');
  const mass = async () => {
    const { job } = (await (await kim.request.get(`${server.url}/api/rooms/guest-room`)).json()) as {
      job: { screen: { mass: number } };
    };
    return job.screen.mass;
  };
  const sent = await mass();
  await alex.reload();
  await expect(alex.getByTestId('save-state')).toContainText('not in the crew');
  expect(await mass()).toBe(sent);

  // let in again, what waited goes by itself
  await alex.getByTestId('say-who').click();
  await expect(alex.getByTestId('taken-out')).toContainText('What you did is kept on this device');
  await kim.getByTestId('offer-code').click();
  await alex.getByTestId('enter-code').fill((await kim.getByTestId('code').textContent())!);
  await alex.getByTestId('enter-go').click();
  await alex.getByTestId('room-guest-room').waitFor();
  await expect.poll(mass).toBeGreaterThan(sent);
  await kim.goto(`${server.url}/room/guest-room/history`);
  await expect(kim.getByText(/^Version 3, .* by Alex on red phone$/)).toBeVisible();
  await Promise.all([kim, alex].map((p) => p.context().close()));
  await server.kill();
});

test('a customer’s link shows one room, asks for nothing else, keeps nothing, and shows nothing once it is withdrawn', async ({
  browser,
}) => {
  const server = await crewServer();
  const [kim, customer] = [await phone(browser), await phone(browser)];
  await letIn(kim, server, 'Kim', 'blue phone');
  await kim.goto(`${server.url}/room/guest-room/customer`);
  await kim.getByTestId('send-link').click();
  await kim.getByTestId('make-link').click();
  expect(await seriousFaults(kim, 'light', false)).toEqual([]);
  const link = (await kim.getByTestId('link-address').textContent())!;
  const asked: string[] = [];
  customer.on('request', (r) => {
    const { pathname } = new URL(r.url());
    if (pathname.startsWith('/api/')) asked.push(`${r.method()} ${pathname}`);
  });
  await customer.goto(link);
  await expect(customer.getByTestId('customer')).toContainText(guestRoom.title);
  await expect(customer.getByRole('button', { name: /this one$/ })).toHaveCount(0);
  expect(await seriousFaults(customer, 'light', false)).toEqual([]);
  await customer.getByTestId('choice-record').click();
  await expect(customer.getByTestId('shown-record')).toContainText('held by');
  const [file] = await Promise.all([customer.waitForEvent('download'), customer.getByTestId('shown-pdf').click()]);
  expect(file.suggestedFilename()).toMatch(/record.*\.pdf$/);
  // the room, and its picture for the record
  expect([...new Set(asked)].sort()).toEqual(['GET /api/shown', 'GET /api/shown/pictures/wall']);
  expect(await customer.evaluate(() => indexedDB.databases())).toEqual([]);
  // nor does the secret stand in an address that a server sees
  expect(asked.join()).not.toContain(link.split('#')[1]);
  await kim.getByRole('button', { name: 'withdraw it' }).click();
  await expect(kim.getByText(/^withdrawn .*opened once/)).toBeVisible();
  await customer.reload();
  await expect(customer.getByTestId('shown-said')).toContainText('This link shows nothing');
  await Promise.all([kim, customer].map((p) => p.context().close()));
  await server.kill();
});

test('behind a proxy that encrypts it works; reached past the proxy, over plain http, the page says what is missing', async () => {
  const database = join(mkdtempSync(join(tmpdir(), 'steddo-proxied-')), 'rooms.db');
  await setPasscode({ STEDDO_DB: database });
  const server = await testServer('demo', { STEDDO_PROXY: '127.0.0.1', STEDDO_HOSTS: HOST, STEDDO_DB: database });
  const port = Number(new URL(server.url).port);
  const { cert, key } = await certificate();
  const proxyPort = await freePort();
  const proxy = encryptedServer({ cert: readFileSync(cert), key: readFileSync(key) }, (req, res) => {
    const headers = { ...req.headers, 'x-forwarded-proto': 'https', 'x-forwarded-for': req.socket.remoteAddress! };
    const onward = plainRequest({ port, path: req.url, method: req.method, headers }, (answer) => {
      res.writeHead(answer.statusCode!, answer.headers);
      answer.pipe(res);
    });
    onward.on('error', () => res.destroy());
    req.pipe(onward);
  });
  await new Promise<void>((resolve) => proxy.listen(proxyPort, '127.0.0.1', resolve));
  const browser = await chromium.launch({
    executablePath: process.env.STEDDO_CHROMIUM ?? '/usr/bin/chromium-headless-shell',
    args: ['--no-sandbox', `--host-resolver-rules=MAP ${HOST} 127.0.0.1`],
  });
  const page = await phone(browser);
  await letIn(page, { ...server, url: `https://${HOST}:${proxyPort}` }, 'Kim', 'blue phone');
  await page.getByTestId('new-room').click();
  await isSent(page);
  await page.goto(`http://${HOST}:${port}/`);
  await expect(page.getByTestId('insecure')).toContainText('This address is not secure');
  await expect(page.getByTestId('new-room')).toHaveCount(0);
  expect(await seriousFaults(page, 'light', true)).toEqual([]);
  const plain = await page.request.get(`http://127.0.0.1:${port}/api/rooms`, {
    headers: { host: HOST, 'x-forwarded-proto': 'http' },
  });
  expect([plain.status(), ((await plain.json()) as { error: string }).error]).toEqual([403, 'insecure']);
  await browser.close();
  proxy.closeAllConnections();
  proxy.close();
  await server.kill();
});

test('it listens beyond this machine only with encryption, a name and a passcode, and says in a line what is missing', async () => {
  const { cert, key } = await certificate();
  const database = join(mkdtempSync(join(tmpdir(), 'steddo-open-')), 'rooms.db');
  const base = { STEDDO_HOST: '0.0.0.0', STEDDO_PORT: String(await freePort()), STEDDO_DB: database };
  const tls = { STEDDO_TLS_CERT: cert, STEDDO_TLS_KEY: key };
  const start = (env: Record<string, string>) => runToEnd(process.execPath, [MAIN], { ...base, ...env });
  const cases: [Record<string, string>, RegExp][] = [
    [{}, /STEDDO_HOST: "0\.0\.0\.0" opens the rooms to the network, which needs encryption/],
    [{ STEDDO_TLS_CERT: cert, STEDDO_HOSTS: HOST }, /STEDDO_TLS_KEY: is missing/],
    [tls, /STEDDO_HOSTS: is missing/],
    [{ ...tls, STEDDO_HOSTS: 'not a name' }, /STEDDO_HOSTS: takes names such as rooms\.example/],
    [
      { ...tls, STEDDO_HOSTS: HOST, STEDDO_TLS_KEY: '/none.pem' },
      /STEDDO_TLS_KEY: the file \/none\.pem cannot be read/,
    ],
    [{ ...tls, STEDDO_HOSTS: HOST, STEDDO_TLS_KEY: cert }, /are no certificate with its key/],
    [{ ...tls, STEDDO_HOSTS: HOST }, /there is no crew passcode/],
    [{ STEDDO_PROXY: 'proxy.example', STEDDO_HOSTS: HOST }, /STEDDO_PROXY: takes addresses/],
    [
      { ...tls, STEDDO_HOSTS: HOST, STEDDO_WATCH_TOKEN: 'short' },
      /^steddo: STEDDO_WATCH_TOKEN: takes 24 letters or more\n$/,
    ],
  ];
  for (const [env, line] of cases) {
    const { code, err } = await start(env);
    expect([code, err]).toEqual([1, expect.stringMatching(line)]);
    // one line for each fault, and nothing of the program's inside
    for (const said of err.trim().split('\n')) expect(said).toMatch(/^steddo: /);
  }
  const short = await setPasscode({ STEDDO_DB: database }, 'short');
  expect([short.code, short.err]).toEqual([1, expect.stringContaining('takes 12 letters or more')]);
  const guessed = await setPasscode({ STEDDO_DB: database }, 'passwordpassword');
  expect([guessed.code, guessed.err]).toEqual([1, expect.stringContaining('guessed first')]);
  // what lies on the disk is for this user alone
  await setPasscode({ STEDDO_DB: database });
  expect((statSync(database).mode & 0o777).toString(8)).toBe('600');
});

test('two processes on one database that has a server of its own: interleaved saves, none lost', async ({
  request,
}) => {
  const token = 'a-token-of-the-database';
  const file = join(mkdtempSync(join(tmpdir(), 'steddo-shared-')), 'shared.db');
  const database = await standIn(file, token);
  const settings = { STEDDO_DB: database.url, STEDDO_DB_TOKEN: token };
  const both = await Promise.all([testServer('catalogue', settings), testServer('catalogue', settings)]);
  const saved: string[] = [];
  let stale = 0;
  const ROUNDS = 12;
  expect((await request.put(`${both[0].url}/api/rooms/r`, { data: edit('begin', 0) })).status()).toBe(200);
  const work = async (who: string, url: string) => {
    let base = (await (await request.get(`${url}/api/rooms/r`)).json()) as { version: number };
    for (let i = 0; i < ROUNDS;) {
      const answer = await request.put(`${url}/api/rooms/r`, { data: edit(`${who}-${i}`, base.version) });
      const said = (await answer.json()) as { version: number; theirs?: { version: number } };
      if (answer.status() === 409) {
        base = said.theirs!;
        stale += 1;
        continue;
      }
      expect(answer.status()).toBe(200);
      base = said;
      saved.push(`${who}-${i}`);
      i += 1;
    }
  };
  await Promise.all([work('left', both[0].url), work('right', both[1].url)]);
  const list = (await (await request.get(`${both[1].url}/api/rooms/r/revisions`)).json()) as {
    revisions: { version: number; editId: string }[];
    refused: unknown[];
  };
  expect(list.revisions.map((r) => r.version).reverse()).toEqual(
    Array.from({ length: 2 * ROUNDS + 1 }, (_, i) => i + 1),
  );
  expect(list.revisions.map((r) => r.editId).sort()).toEqual(['begin', ...saved].sort());
  // an edit that came too late more than once is kept once
  expect(list.refused.length > 0).toBe(stale > 0);
  await Promise.all(both.map((s) => s.kill()));
  await database.close();
});

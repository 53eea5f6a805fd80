import { isIP } from 'node:net';
import { resolve } from 'node:path';
import { z } from 'zod';
import { isServer, type Place } from './db/place';
import type { Reach } from './reach';

const PORT = 'takes a port number from 1 to 65535';
const NAME = /^(?=.{1,253}$)([a-z0-9]([a-z0-9-]{0,61}[a-z0-9])?\.)*[a-z0-9]([a-z0-9-]{0,61}[a-z0-9])?$/;
/** Shorter ones are guessed. */
const TOKEN_LEAST = 24;

const list = (isOne: (one: string) => boolean, message: string) =>
  z
    .string()
    .transform((text) =>
      text
        .split(',')
        .map((one) => one.trim().toLowerCase())
        .filter(Boolean),
    )
    .refine((all) => all.every(isOne), message)
    .default([]);

/** What the environment may say, checked at start. */
const environment = z.object({
  STEDDO_PORT: z
    .string()
    .regex(/^\d{1,5}$/, PORT)
    .transform(Number)
    .pipe(z.number().min(1, PORT).max(65535, PORT))
    .default(4810),
  STEDDO_HOST: z.string().min(1, 'takes an address such as 127.0.0.1').default('127.0.0.1'),
  STEDDO_HOSTS: list(
    (name) => NAME.test(name) || isIP(name) === 4,
    'takes names such as rooms.example, with commas between them, no ports',
  ),
  STEDDO_PROXY: list(
    (address) => isIP(address) !== 0,
    'takes addresses of proxies such as 127.0.0.1, with commas between them',
  ),
  STEDDO_TLS_CERT: z.string().min(1, 'takes the path of a certificate file').optional(),
  STEDDO_TLS_KEY: z.string().min(1, 'takes the path of the file of its key').optional(),
  STEDDO_WATCH_TOKEN: z.string().min(TOKEN_LEAST, `takes ${TOKEN_LEAST} letters or more`).optional(),
  STEDDO_DB: z
    .string()
    .min(1, 'takes the path of the database file, or the libsql:// address of its server')
    .default('data/steddo.db'),
  STEDDO_DB_TOKEN: z.string().min(1).optional(),
  STEDDO_WEB: z.string().min(1).default('apps/web/dist'),
  STEDDO_SEED: z.enum(['demo', 'catalogue'], { error: 'takes demo or catalogue' }).default('catalogue'),
  STEDDO_LOG: z
    .enum(['debug', 'info', 'warn', 'error', 'silent'], {
      error: 'takes debug, info, warn, error or silent',
    })
    .default('info'),
});

export interface Settings {
  port: number;
  host: string;
  reach: Reach;
  /** Files of the certificate and its key, where this program does the encrypting itself. */
  tls: { cert: string; key: string } | undefined;
  place: Place;
  web: string;
  seed: 'demo' | 'catalogue';
  log: string;
}

type Env = z.infer<typeof environment>;
type Read = { ok: true; settings: Settings } | { ok: false; lines: string[] };

const LOCAL = ['127.0.0.1', 'localhost', '::1'];
/** Never said back, not even when they are wrong. */
const SECRET = ['STEDDO_DB_TOKEN', 'STEDDO_WATCH_TOKEN', 'STEDDO_DB'];

/** Reads the settings, or gives every fault as a line. */
export function readSettings(env: Record<string, string | undefined>): Read {
  const parsed = environment.safeParse(env);
  if (!parsed.success)
    return { ok: false, lines: parsed.error.issues.map((i) => faultLine(String(i.path[0]), i.message, env)) };
  const lines = faultsTogether(parsed.data);
  return lines.length > 0 ? { ok: false, lines } : { ok: true, settings: settingsOf(parsed.data) };
}

function faultLine(name: string, message: string, env: Record<string, string | undefined>): string {
  const given = SECRET.includes(name) ? '' : `, not "${env[name] ?? ''}"`;
  return `${name}: ${message}${given}`;
}

/** What stands in the way of listening beyond this machine, all of it at once. */
function faultsTogether(e: Env): string[] {
  const { STEDDO_TLS_CERT: cert, STEDDO_TLS_KEY: key } = e;
  const lines: string[] = [];
  if ((cert === undefined) !== (key === undefined))
    lines.push(
      `${cert === undefined ? 'STEDDO_TLS_CERT' : 'STEDDO_TLS_KEY'}: is missing: a certificate and its key go together`,
    );
  const proxied = e.STEDDO_PROXY.length > 0;
  const beyond = !LOCAL.includes(e.STEDDO_HOST) || proxied;
  if (beyond && cert === undefined && !proxied)
    lines.push(
      `STEDDO_HOST: "${e.STEDDO_HOST}" opens the rooms to the network, which needs encryption: STEDDO_TLS_CERT and STEDDO_TLS_KEY, or a proxy that does it, named in STEDDO_PROXY. Without them use 127.0.0.1`,
    );
  if (beyond && e.STEDDO_HOSTS.length === 0)
    lines.push('STEDDO_HOSTS: is missing: the names that this server is reached by, such as rooms.example');
  return lines;
}

function settingsOf(e: Env): Settings {
  const { STEDDO_TLS_CERT: cert, STEDDO_TLS_KEY: key, STEDDO_WATCH_TOKEN: watchToken } = e;
  return {
    port: e.STEDDO_PORT,
    host: e.STEDDO_HOST,
    reach: { hosts: e.STEDDO_HOSTS, proxies: e.STEDDO_PROXY, ...(watchToken === undefined ? {} : { watchToken }) },
    tls: cert === undefined || key === undefined ? undefined : { cert: resolve(cert), key: resolve(key) },
    place: isServer(e.STEDDO_DB)
      ? { kind: 'server', url: e.STEDDO_DB, token: e.STEDDO_DB_TOKEN }
      : { kind: 'file', path: resolve(e.STEDDO_DB) },
    web: resolve(e.STEDDO_WEB),
    seed: e.STEDDO_SEED,
    log: e.STEDDO_LOG,
  };
}

import { resolve } from 'node:path';
import { z } from 'zod';

/** What the environment may say, checked at start. */
const environment = z.object({
  STEDDO_PORT: z
    .string()
    .regex(/^\d{1,5}$/, 'takes a port number from 1 to 65535')
    .transform(Number)
    .pipe(z.number().min(1, 'takes a port number from 1 to 65535').max(65535, 'takes a port number from 1 to 65535'))
    .default(4810),
  STEDDO_HOST: z.string().min(1, 'takes an address such as 127.0.0.1').default('127.0.0.1'),
  STEDDO_DB: z.string().min(1, 'takes the path of the database file').default('data/steddo.db'),
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
  database: string;
  web: string;
  seed: 'demo' | 'catalogue';
  log: string;
}

const LOCAL = ['127.0.0.1', 'localhost', '::1'];

/** Reads the settings, or gives every fault as a line. */
export function readSettings(
  env: Record<string, string | undefined>,
): { ok: true; settings: Settings } | { ok: false; lines: string[] } {
  const parsed = environment.safeParse(env);
  if (!parsed.success)
    return {
      ok: false,
      lines: parsed.error.issues.map((i) => `${i.path.join('.')}: ${i.message}, not "${env[String(i.path[0])] ?? ''}"`),
    };
  const e = parsed.data;
  if (!LOCAL.includes(e.STEDDO_HOST))
    return {
      ok: false,
      lines: [
        `STEDDO_HOST: "${e.STEDDO_HOST}" would open the rooms to the network, which needs a crew passcode; that is not built yet. Use 127.0.0.1.`,
      ],
    };
  return {
    ok: true,
    settings: {
      port: e.STEDDO_PORT,
      host: e.STEDDO_HOST,
      database: resolve(e.STEDDO_DB),
      web: resolve(e.STEDDO_WEB),
      seed: e.STEDDO_SEED,
      log: e.STEDDO_LOG,
    },
  };
}

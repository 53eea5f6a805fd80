import type { IncomingMessage } from 'node:http';
import type { TLSSocket } from 'node:tls';

/** How far this server can be reached, and by which names it answers. */
export interface Reach {
  /** Names beside those of this machine. */
  hosts: readonly string[];
  /** Addresses of proxies whose word about a caller is taken. */
  proxies: readonly string[];
  /** What a program that watches over it proves itself by. */
  watchToken?: string;
}

export const HERE_ONLY: Reach = { hosts: [], proxies: [] };

/** Whether anybody but this machine can come to it. */
export const isBeyond = ({ hosts, proxies }: Reach): boolean => hosts.length > 0 || proxies.length > 0;

const LOCAL = ['localhost', '127.0.0.1', '[::1]'];

/** Who asks, as far as the server's own eyes and a named proxy's word go. */
export interface Caller {
  /** The name that was asked for, with its port. */
  host: string;
  /** A name that this server answers to. */
  known: boolean;
  /** Whether nobody on the way could read along: encrypted, or never off this machine. */
  secure: boolean;
  /** What the page that asks stands at, as browsers name it. */
  origin: string;
  address: string;
  /** Through no proxy, from this machine itself. */
  here: boolean;
}

type Asking = Pick<IncomingMessage, 'headers' | 'socket'>;

/** A proxy's word is taken only of one that is named: anybody may write such a line. */
export function callerOf({ headers, socket }: Asking, { hosts, proxies }: Reach): Caller {
  const from = (socket.remoteAddress ?? '').replace(/^::ffff:/, '');
  const said = first(headers['x-forwarded-proto']);
  const proxied = said !== undefined && proxies.includes(from);
  const host = ((proxied && first(headers['x-forwarded-host'])) || headers.host || '').toLowerCase();
  const name = host.replace(/:\d+$/, '');
  const encrypted = proxied ? said === 'https' : (socket as TLSSocket).encrypted === true;
  const local = LOCAL.includes(name);
  return {
    host,
    known: local || hosts.includes(name),
    secure: encrypted || (local && !proxied),
    origin: `${encrypted ? 'https' : 'http'}://${host}`,
    // the last one is what the proxy itself saw; what stands before it anybody may have written
    address: proxied ? (last(headers['x-forwarded-for']) ?? from) : from,
    here: !proxied && (from === '127.0.0.1' || from === '::1'),
  };
}

const partsOf = (line: string | string[] | undefined): string[] =>
  (Array.isArray(line) ? line.join(',') : (line ?? '')).split(',').map((part) => part.trim());
const first = (line: string | string[] | undefined): string | undefined => partsOf(line)[0] || undefined;
const last = (line: string | string[] | undefined): string | undefined => partsOf(line).at(-1) || undefined;

import { createServer, type IncomingMessage, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';
import { json } from 'node:stream/consumers';
import Database from 'libsql';

/**
 * A small stand-in for a database server that speaks libSQL's protocol over HTTP (version 2, as JSON), for tests only:
 * its statements run in a real SQLite, each stream on a connection of its own, so that what two processes do at once
 * meets as it does there. Written from the client's own encoder and decoder; not a line of a real server was at hand.
 */
export interface StandIn {
  url: string;
  /** Requests that came, and those that were refused for their token. */
  asked: number;
  refused: number;
  close: () => Promise<void>;
}

type Value = { type: 'null' | 'integer' | 'float' | 'text' | 'blob'; value?: string | number; base64?: string };
interface Stmt {
  sql?: string;
  sql_id?: number;
  args?: Value[];
  named_args?: { name: string; value: Value }[];
  want_rows?: boolean;
}
type Cond = { type: string; step?: number; cond?: Cond; conds?: Cond[] };
interface Request {
  type: string;
  stmt?: Stmt;
  batch?: { steps: { condition?: Cond; stmt: Stmt }[] };
  sql?: string;
  sql_id?: number;
}

class Stream {
  readonly texts = new Map<number, string>();
  constructor(readonly db: Database.Database) {}

  private textOf = ({ sql, sql_id: id }: Pick<Stmt, 'sql' | 'sql_id'>): string => sql ?? this.texts.get(id ?? -1) ?? '';

  answer(request: Request): unknown {
    switch (request.type) {
      case 'execute':
        return { type: 'execute', result: this.run(request.stmt!) };
      case 'batch':
        return { type: 'batch', result: this.batch(request.batch!.steps) };
      case 'sequence':
        this.db.exec(this.textOf(request));
        return { type: 'sequence' };
      case 'store_sql':
        this.texts.set(request.sql_id!, request.sql!);
        return { type: 'store_sql' };
      case 'close_sql':
        this.texts.delete(request.sql_id!);
        return { type: 'close_sql' };
      case 'close':
        return { type: 'close' };
      default:
        throw new Error(`the stand-in does not know ${request.type}`);
    }
  }

  private run(stmt: Stmt): unknown {
    const prepared = this.db.prepare(this.textOf(stmt)).safeIntegers(true);
    const args = (stmt.args ?? []).map(fromWire);
    if (!prepared.reader) {
      const { changes, lastInsertRowid } = prepared.run(...args);
      return { cols: [], rows: [], affected_row_count: changes, last_insert_rowid: String(lastInsertRowid) };
    }
    const names = prepared.columns().map((c) => ({ name: c.name }));
    const rows = prepared.raw(true).all(...args) as unknown[][];
    const affected = /^\s*(insert|update|delete)/i.test(this.textOf(stmt)) ? rows.length : 0;
    return { cols: names, rows: rows.map((r) => r.map(toWire)), affected_row_count: affected };
  }

  private batch(steps: { condition?: Cond; stmt: Stmt }[]): unknown {
    const results: unknown[] = [];
    const errors: unknown[] = [];
    const holds = (cond: Cond | undefined): boolean => {
      if (!cond) return true;
      if (cond.type === 'ok') return results[cond.step!] !== null;
      if (cond.type === 'error') return errors[cond.step!] !== null;
      if (cond.type === 'not') return !holds(cond.cond);
      if (cond.type === 'and') return cond.conds!.every(holds);
      return cond.conds!.some(holds);
    };
    steps.forEach(({ condition, stmt }, i) => {
      results[i] = null;
      errors[i] = null;
      if (!holds(condition)) return;
      try {
        results[i] = this.run(stmt);
      } catch (error) {
        errors[i] = faultOf(error);
      }
    });
    return { step_results: results, step_errors: errors };
  }
}

function fromWire(value: Value): unknown {
  if (value.type === 'null') return null;
  if (value.type === 'integer') return BigInt(value.value!);
  return value.type === 'blob' ? Buffer.from(value.base64!, 'base64') : value.value;
}

function toWire(value: unknown): Value {
  if (value === null) return { type: 'null' };
  if (typeof value === 'bigint') return { type: 'integer', value: String(value) };
  if (typeof value === 'number') return { type: 'float', value };
  if (typeof value === 'string') return { type: 'text', value };
  return { type: 'blob', base64: Buffer.from(value as Uint8Array).toString('base64') };
}

const faultOf = (error: unknown) => {
  const { message, code } = error as { message: string; code?: string };
  return { message, ...(code === undefined ? {} : { code }) };
};

export async function standIn(file: string, token: string): Promise<StandIn> {
  const streams = new Map<string, Stream>();
  let batons = 0;
  const counts = { asked: 0, refused: 0 };
  const open = () => {
    const db = new Database(file, { timeout: 0 });
    db.pragma('journal_mode = WAL');
    return new Stream(db);
  };
  const answer = async (req: IncomingMessage, res: ServerResponse) => {
    counts.asked += 1;
    const say = (status: number, body: unknown) => {
      res.writeHead(status, { 'content-type': 'application/json' });
      res.end(JSON.stringify(body));
    };
    if (req.headers.authorization !== `Bearer ${token}`) {
      counts.refused += 1;
      return say(401, { message: 'the token is not taken', code: 'AUTH' });
    }
    if (req.method !== 'POST' || req.url !== '/v2/pipeline') return say(404, { message: 'not here' });
    const { baton, requests } = (await json(req)) as { baton?: string | null; requests: Request[] };
    const known = baton ? streams.get(baton) : undefined;
    if (baton && !known) return say(400, { message: 'the stream has ended', code: 'STREAM_EXPIRED' });
    if (baton) streams.delete(baton);
    const stream = known ?? open();
    const results = requests.map((request) => {
      try {
        return { type: 'ok', response: stream.answer(request) };
      } catch (error) {
        return { type: 'error', error: faultOf(error) };
      }
    });
    const closed = requests.some((r) => r.type === 'close');
    if (closed) stream.db.close();
    const next = closed ? null : `stream-${++batons}`;
    if (next !== null) streams.set(next, stream);
    return say(200, { baton: next, base_url: null, results });
  };
  const server = createServer((req, res) => void answer(req, res));
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const { port } = server.address() as AddressInfo;
  return {
    url: `libsql://127.0.0.1:${port}?tls=0`,
    get asked() {
      return counts.asked;
    },
    get refused() {
      return counts.refused;
    },
    close: async () => {
      for (const { db } of streams.values()) db.close();
      server.closeAllConnections();
      await new Promise((resolve) => server.close(resolve));
    },
  };
}

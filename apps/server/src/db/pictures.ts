import { createHash } from 'node:crypto';
import { and, asc, count, eq } from 'drizzle-orm';
import { faultOfPicture, type Fault, type PieceReply, type PieceRequest } from '@steddo/contract';
import type { Db } from './client';
import { isConflict } from './databaseErrors';
import { picturePieces, pictures } from './schema';

/** Far beyond what anybody takes of one room; those that were taken away again count too. */
const MOST_OF_A_ROOM = 2000;

export type PieceResult =
  | ({ kind: 'taken' } & PieceReply)
  | ({ kind: 'gap' } & PieceReply)
  | { kind: 'refused'; fault: Fault };

const refuse = (path: string, reason: string): PieceResult => ({ kind: 'refused', fault: { path, reason } });

const ofPicture = (room: string, id: string) => and(eq(pictures.roomId, room), eq(pictures.id, id));
const piecesOf = (room: string, id: string) => and(eq(picturePieces.roomId, room), eq(picturePieces.picture, id));

/**
 * Takes the next piece of a picture. One that does not begin where the last ended is told where that is; with the last
 * one the whole is checked, and what is no picture, or another than was said, goes again.
 */
export async function takePiece(db: Db, room: string, piece: Piece): Promise<PieceResult> {
  try {
    return await tryPiece(db, room, piece);
  } catch (error) {
    // the same piece came twice at once: it goes on after the one that was first
    if (isConflict(error)) return tryPiece(db, room, piece);
    throw error;
  }
}

/** A piece as it came, and when. */
export interface Piece extends PieceRequest {
  bytes: Buffer;
  now: string;
}

async function tryPiece(
  db: Db,
  room: string,
  { picture, from, size, sha256, bytes, now }: Piece,
): Promise<PieceResult> {
  const [known] = await db.select().from(pictures).where(ofPicture(room, picture));
  if (!known && (await countOf(db, room)) >= MOST_OF_A_ROOM)
    return refuse('(picture)', `a room has ${MOST_OF_A_ROOM} pictures at most`);
  if (known && (known.sha256 !== sha256 || known.size !== size))
    return refuse('picture', 'is the id of another picture of this room');
  const received = known?.received ?? 0;
  if (known?.whole) return { kind: 'taken', received, whole: true };
  if (from !== received) return { kind: 'gap', received, whole: false };
  const end = from + bytes.length;
  if (bytes.length === 0 || end > size)
    return refuse('from', `this piece ends at ${end}; the picture has ${size} bytes`);
  const whole = end === size;
  if (whole) {
    const fault = faultOfWhole(Buffer.concat([...(await piecesIn(db, room, picture)), bytes]), sha256);
    if (fault) {
      await forgetPicture(db, room, picture);
      return { kind: 'refused', fault };
    }
  }
  const row = { roomId: room, id: picture, size, sha256, received: end, whole, savedAt: now };
  await db.batch([
    db.insert(picturePieces).values({ roomId: room, picture, start: from, bytes }),
    db
      .insert(pictures)
      .values(row)
      .onConflictDoUpdate({ target: [pictures.roomId, pictures.id], set: row }),
  ]);
  return { kind: 'taken', received: end, whole };
}

function faultOfWhole(bytes: Buffer, sha256: string): Fault | undefined {
  const sum = createHash('sha256').update(bytes).digest('hex');
  return sum === sha256
    ? faultOfPicture(bytes)
    : { path: 'sha256', reason: 'is not the sum of what came; it is sent again from the beginning' };
}

async function countOf(db: Db, room: string): Promise<number> {
  const [row] = await db.select({ n: count() }).from(pictures).where(eq(pictures.roomId, room));
  return row?.n ?? 0;
}

async function piecesIn(db: Db, room: string, id: string): Promise<Buffer[]> {
  const rows = await db.select().from(picturePieces).where(piecesOf(room, id)).orderBy(asc(picturePieces.start));
  return rows.map((r) => Buffer.from(r.bytes));
}

async function forgetPicture(db: Db, room: string, id: string): Promise<void> {
  await db.batch([db.delete(picturePieces).where(piecesOf(room, id)), db.delete(pictures).where(ofPicture(room, id))]);
}

/** Ids of the pictures of a room that have come whole. */
export async function listPictures(db: Db, room: string): Promise<string[]> {
  const of = and(eq(pictures.roomId, room), eq(pictures.whole, true));
  return (await db.select({ id: pictures.id }).from(pictures).where(of)).map((r) => r.id);
}

/** A picture that has come whole. */
export async function findPicture(db: Db, room: string, id: string): Promise<Buffer | undefined> {
  const [row] = await db.select({ whole: pictures.whole }).from(pictures).where(ofPicture(room, id));
  return row?.whole ? Buffer.concat(await piecesIn(db, room, id)) : undefined;
}

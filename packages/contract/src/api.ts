import { z } from 'zod';
import { catalogue, mount } from './catalogue';
import { job } from './job';
import { id, wholeNumber } from './parts';
import { PICTURE } from './photo';

/** What web and server say to each other. */

const roomId = z.string().regex(/^[a-z0-9-]{1,40}$/, 'takes lower-case letters, digits and dashes');
/** Far beyond any room's edits, and still a number that can be counted on from. */
const version = wholeNumber.max(1_000_000_000);
/** What a revision, an edit or a database is known by: never by its number alone. */
const mark = z.string().min(1).max(80);
const deviceName = z.string().trim().min(1).max(60);

/** One settled edit as it leaves the outbox. `editId` makes sending it twice harmless. */
export const saveRequest = z.strictObject({
  editId: id,
  /** The server's version that this edit was made on; 0 creates the room. */
  baseVersion: version,
  /** That version's own mark; absent: judged by its number alone. */
  baseRevision: mark.optional(),
  /** What the device is called by those who use it. */
  device: deviceName.optional(),
  /** The paths that the edit touched. */
  touched: z.array(z.string().max(400)).max(400),
  job,
});

export const savedReply = z.strictObject({
  id: roomId,
  version,
  revision: mark,
  database: mark,
  savedAt: z.string(),
});

const revisionHead = z.strictObject({
  version,
  revision: mark,
  savedAt: z.string(),
  /** Whoever saved it, as the crew's server knows them; empty where it has no crew. */
  person: z.string(),
  /** Empty where nobody said. */
  device: z.string(),
});

const roomHead = revisionHead.extend({ id: roomId, title: z.string() });
export const roomSummary = roomHead.extend({ job });
/** A page of the list: what is on top of all, or what comes after a room that was told before. */
export const roomList = z.strictObject({
  database: mark,
  rooms: z.array(roomHead),
  /** Whether there are more after the last one. */
  more: z.boolean(),
  /** Taken away less than thirty days ago. */
  deleted: z.array(roomHead.extend({ deletedAt: z.string() })),
  /** Records that cannot be read, set aside. */
  aside: z.array(z.strictObject({ id: z.string(), reason: z.string() })),
});

/** How certain rooms stand; those that are not there are not among them. */
export const roomHeads = z.strictObject({ database: mark, rooms: z.array(roomHead) });
/** Rooms that may be asked about at once. */
export const MOST_ASKED = 200;

export const roomReply = roomSummary.extend({
  database: mark,
  /** Whether the revision that was asked about (`?base=`) is one of this room's. */
  known: z.boolean(),
});

const revision = revisionHead.extend({ editId: z.string(), touched: z.array(z.string()) });
export const revisionList = z.strictObject({
  revisions: z.array(revision),
  /** Saves that came too late: the server kept them, and the device put them on top or asked. */
  refused: z.array(
    z.strictObject({
      editId: z.string(),
      baseVersion: version,
      savedAt: z.string(),
      person: z.string(),
      device: z.string(),
    }),
  ),
});

/** A document from the record, whole. */
export const revisionReply = z.strictObject({ savedAt: z.string(), person: z.string(), device: z.string(), job });

/** A refused save: both versions, so that nothing is lost. */
export const staleReply = z.strictObject({
  error: z.literal('stale'),
  message: z.string(),
  database: mark,
  theirs: roomSummary,
  /** Whether the server knows the revision that the save was made on; not so after a backup was put back. */
  known: z.boolean(),
  /** What was saved since then, the latest first. */
  since: z.array(revision),
});

/** What has changed since a moment that the server named. */
export const changesReply = z.strictObject({
  database: mark,
  cursor: mark,
  rooms: z.array(z.strictObject({ id: roomId, revision: mark })),
  catalogue: z.boolean(),
  /** Too much, or too long ago, to be told one by one: everything may have changed. */
  everything: z.boolean(),
});

export const fault = z.strictObject({ path: z.string(), reason: z.string() });
export const errorReply = z.strictObject({
  error: z.string(),
  message: z.string(),
  faults: z.array(fault).optional(),
});
/** A room that the server does not have: never had, or taken away. */
export const absentReply = z.strictObject({
  error: z.enum(['unknown', 'deleted']),
  message: z.string(),
  database: mark,
  deletedAt: z.string().optional(),
});
export const catalogueReply = catalogue;
/** One settled edit of a mount as it leaves the device. */
export const saveMount = z.strictObject({ editId: id, mount });
export const savedMount = z.strictObject({ id, version });
export const mountHistory = z.strictObject({
  versions: z.array(z.strictObject({ version, savedAt: z.string(), mount })),
});
export const importedReply = z.strictObject({ mounts: wholeNumber });

export const roomIdParam = roomId;

/** A piece of a picture: where it begins, and what the whole will be. */
export const pieceRequest = z.strictObject({
  picture: id,
  from: wholeNumber,
  size: wholeNumber.min(1).max(PICTURE.mostBytes),
  /** Of the whole, in hexadecimal. */
  sha256: z.string().regex(/^[0-9a-f]{64}$/, 'takes a SHA-256 in lower-case hexadecimal'),
});
/** How much of a picture the server has; whole once it has been checked. */
export const pieceReply = z.strictObject({ received: wholeNumber, whole: z.boolean() });
/** Pictures of a room that the server has whole, by their ids. */
export const pictureList = z.strictObject({ whole: z.array(id) });
/** A piece that does not begin where the server is: it goes on from there. */
export const pieceGapReply = pieceReply.extend({ error: z.literal('gap'), message: z.string() });

export type RoomHeads = z.infer<typeof roomHeads>;
export type RoomHead = z.infer<typeof roomHead>;
export type RoomList = z.infer<typeof roomList>;
export type RoomReply = z.infer<typeof roomReply>;
export type RevisionHead = z.infer<typeof revision>;
export type RevisionList = z.infer<typeof revisionList>;
export type ChangesReply = z.infer<typeof changesReply>;
export type SaveRequest = z.infer<typeof saveRequest>;
export type SavedReply = z.infer<typeof savedReply>;
export type RoomSummary = z.infer<typeof roomSummary>;
export type StaleReply = z.infer<typeof staleReply>;
export type Fault = z.infer<typeof fault>;
export type PieceRequest = z.infer<typeof pieceRequest>;
export type PieceReply = z.infer<typeof pieceReply>;
export type SaveMount = z.infer<typeof saveMount>;
export type MountHistory = z.infer<typeof mountHistory>;

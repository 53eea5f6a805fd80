import { z } from 'zod';
import { catalogue, mount } from './catalogue';
import { job } from './job';
import { id, wholeNumber } from './parts';

/** What web and server say to each other. */

const roomId = z.string().regex(/^[a-z0-9-]{1,40}$/, 'takes lower-case letters, digits and dashes');
const version = wholeNumber;

/** One settled edit as it leaves the outbox. `editId` makes sending it twice harmless. */
export const saveRequest = z.strictObject({
  editId: id,
  /** The server's version that this edit was made on; 0 creates the room. */
  baseVersion: version,
  /** The paths that the edit touched. */
  touched: z.array(z.string()).max(400),
  job,
});

export const savedReply = z.strictObject({ id: roomId, version, savedAt: z.string() });

export const roomSummary = z.strictObject({
  id: roomId,
  version,
  title: z.string(),
  savedAt: z.string(),
  job,
});
export const roomList = z.strictObject({ rooms: z.array(roomSummary) });

export const roomReply = roomSummary;

export const revisionList = z.strictObject({
  revisions: z.array(
    z.strictObject({
      version,
      savedAt: z.string(),
      editId: z.string(),
      touched: z.array(z.string()),
    }),
  ),
});

/** A refused save: both versions, so that nothing is lost. */
export const staleReply = z.strictObject({
  error: z.literal('stale'),
  message: z.string(),
  mine: saveRequest,
  theirs: roomSummary,
});

export const fault = z.strictObject({ path: z.string(), reason: z.string() });
export const errorReply = z.strictObject({
  error: z.string(),
  message: z.string(),
  faults: z.array(fault).optional(),
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

export type SaveRequest = z.infer<typeof saveRequest>;
export type SavedReply = z.infer<typeof savedReply>;
export type RoomSummary = z.infer<typeof roomSummary>;
export type StaleReply = z.infer<typeof staleReply>;
export type Fault = z.infer<typeof fault>;
export type SaveMount = z.infer<typeof saveMount>;
export type MountHistory = z.infer<typeof mountHistory>;

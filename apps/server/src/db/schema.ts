import { sql } from 'drizzle-orm';
import { blob, index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';

/** Who saved it and on what; a crew's server knows both itself, another one takes the device's word for its name. */
const savedBy = {
  person: text('person').notNull().default(''),
  device: text('device').notNull().default(''),
};

/** A room is one validated document with a version; every earlier revision is kept. */
export const rooms = sqliteTable(
  'rooms',
  {
    id: text('id').primaryKey(),
    version: integer('version').notNull(),
    title: text('title').notNull(),
    savedAt: text('saved_at').notNull(),
    job: text('job').notNull(),
    /** The mark of the revision that this is. */
    revision: text('revision').notNull().default(''),
    ...savedBy,
    /** Taken away, and still to be taken back for thirty days. */
    deletedAt: text('deleted_at'),
    /** What a room is looked for by, in small letters: its name, and what its set and mount are called. */
    words: text('words').notNull().default(''),
  },
  // all that a list needs, so that no document is read for it
  (t) => [
    index('rooms_heads').on(t.savedAt, t.id, t.title, t.words, t.version, t.revision, t.person, t.device, t.deletedAt),
    index('rooms_deleted')
      .on(t.deletedAt)
      .where(sql`deleted_at is not null`),
  ],
);

/** What the database says of itself. */
export const meta = sqliteTable('meta', { name: text('name').primaryKey(), value: text('value').notNull() });

export const revisions = sqliteTable(
  'revisions',
  {
    roomId: text('room_id').notNull(),
    version: integer('version').notNull(),
    editId: text('edit_id').notNull(),
    savedAt: text('saved_at').notNull(),
    touched: text('touched').notNull(),
    job: text('job').notNull(),
    revision: text('revision').notNull().default(''),
    ...savedBy,
  },
  (t) => [primaryKey({ columns: [t.roomId, t.version] }), index('revisions_edit').on(t.roomId, t.editId)],
);

/** Saves that were refused as stale: kept, so that nothing anybody entered is lost. */
export const refused = sqliteTable('refused', {
  editId: text('edit_id').primaryKey(),
  roomId: text('room_id').notNull(),
  baseVersion: integer('base_version').notNull(),
  at: text('at').notNull(),
  job: text('job').notNull(),
  ...savedBy,
});

/** What changed, in the order in which it did, whichever process wrote it. */
export const changes = sqliteTable('changes', {
  n: integer('n').primaryKey({ autoIncrement: true }),
  /** Empty for the catalogue. */
  roomId: text('room_id').notNull().default(''),
  revision: text('revision').notNull().default(''),
});

const catalogueColumns = {
  kind: text('kind', { enum: ['mounts', 'anchors', 'screens', 'lags', 'bits'] }).notNull(),
  id: text('id').notNull(),
  version: integer('version').notNull().default(1),
  savedAt: text('saved_at').notNull().default(''),
  editId: text('edit_id').notNull().default(''),
  entry: text('entry').notNull(),
};

export const catalogueEntries = sqliteTable(
  'catalogue_entries',
  { ...catalogueColumns, position: integer('position').notNull() },
  (t) => [primaryKey({ columns: [t.kind, t.id] })],
);

/** Every version that an entry has had; what somebody overwrote is not lost. */
export const catalogueHistory = sqliteTable('catalogue_history', catalogueColumns, (t) => [
  primaryKey({ columns: [t.kind, t.id, t.version] }),
  index('catalogue_history_edit').on(t.editId),
]);

/** Pictures of a room, beside its document: how much of each has come. */
export const pictures = sqliteTable(
  'pictures',
  {
    roomId: text('room_id').notNull(),
    id: text('id').notNull(),
    size: integer('size').notNull(),
    /** Of the whole, which is checked when the last piece has come. */
    sha256: text('sha256').notNull(),
    received: integer('received').notNull(),
    whole: integer('whole', { mode: 'boolean' }).notNull(),
    savedAt: text('saved_at').notNull(),
  },
  (t) => [primaryKey({ columns: [t.roomId, t.id] })],
);

export const picturePieces = sqliteTable(
  'picture_pieces',
  {
    roomId: text('room_id').notNull(),
    picture: text('picture').notNull(),
    start: integer('start').notNull(),
    bytes: blob('bytes', { mode: 'buffer' }).notNull(),
  },
  (t) => [primaryKey({ columns: [t.roomId, t.picture, t.start] })],
);

/** Phones and computers of the crew. What a device proves itself by is kept as its digest only. */
export const devices = sqliteTable('devices', {
  id: text('id').primaryKey(),
  proof: text('proof').notNull().unique(),
  person: text('person').notNull(),
  name: text('name').notNull(),
  pairedAt: text('paired_at').notNull(),
  /** The device that let it in; empty where the passcode did. */
  pairedBy: text('paired_by').notNull().default(''),
  /** The day on which it was last heard of. */
  seenOn: text('seen_on').notNull().default(''),
  takenOutAt: text('taken_out_at'),
  takenOutBy: text('taken_out_by').notNull().default(''),
});

/** Codes with which a device of the crew lets another one in, once and for a few minutes. */
export const pairings = sqliteTable('pairings', {
  proof: text('proof').primaryKey(),
  madeBy: text('made_by').notNull(),
  endsAt: text('ends_at').notNull(),
});

/** Wrong passcodes and codes, by where they came from. */
export const attempts = sqliteTable('attempts', {
  source: text('source').primaryKey(),
  wrong: integer('wrong').notNull(),
  at: text('at').notNull(),
  lockedUntil: text('locked_until').notNull().default(''),
});

/** Links with which a customer sees one room. */
export const links = sqliteTable(
  'links',
  {
    id: text('id').primaryKey(),
    roomId: text('room_id').notNull(),
    proof: text('proof').notNull().unique(),
    madeAt: text('made_at').notNull(),
    madeBy: text('made_by').notNull().default(''),
    withdrawnAt: text('withdrawn_at'),
    opened: integer('opened').notNull().default(0),
    openedAt: text('opened_at').notNull().default(''),
  },
  (t) => [index('links_room').on(t.roomId)],
);

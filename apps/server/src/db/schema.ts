import { blob, index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';

/** A room is one validated document with a version; every earlier revision is kept. */
export const rooms = sqliteTable('rooms', {
  id: text('id').primaryKey(),
  version: integer('version').notNull(),
  title: text('title').notNull(),
  savedAt: text('saved_at').notNull(),
  job: text('job').notNull(),
  /** The mark of the revision that this is. */
  revision: text('revision').notNull().default(''),
  device: text('device').notNull().default(''),
  /** Taken away, and still to be taken back for thirty days. */
  deletedAt: text('deleted_at'),
});

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
    device: text('device').notNull().default(''),
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
  device: text('device').notNull().default(''),
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

import { z } from 'zod';
import { anchor, bit, lag, mount, screenFields } from './catalogue';
import { photo } from './photo';
import { build, floorThing, item, roomKind, rule, viewer, zone } from './room';
import {
  angle,
  at,
  coordinate,
  id,
  length,
  onWall,
  partCoordinate,
  partLength,
  partSize,
  school,
  share,
  side,
  size,
  units,
  wholeNumber,
  words,
} from './parts';
import { evidence, look, scan } from './evidence';
import { holeInto } from './schemePlan';
import { tickId } from './steps';

/** The job document: one room, one wall. What was measured or chosen; nothing that follows from it. */

export const screen = z.strictObject({ name: words.optional(), ...screenFields });

/** The other wall of a corner: its build where it differs from the room's wall; x on it runs from the shared corner. */
const sideWall = z.strictObject({
  width: size.optional(),
  build: build.partial().optional(),
  behind: z.enum(['room', 'wet-room', 'outside']).optional(),
});

const room = z.strictObject({
  /** What kind of job it is; absent: a bench for a monitor arm, else a wall. */
  kind: roomKind.optional(),
  /** Of a corner: which side wall it is, and the angle between the two, degrees. */
  corner: side.optional(),
  cornerAngle: z.number().min(45).max(170).optional(),
  wall: z.strictObject({
    width: size,
    height: size,
    build,
    zones: z.array(zone).max(200).optional(),
    returns: z.strictObject({ left: z.boolean().optional(), right: z.boolean().optional() }).optional(),
    /** What is on the other side; a wet room has pipes in the wall. */
    behind: z.enum(['room', 'wet-room', 'outside']).optional(),
  }),
  sideWalls: z.strictObject({ left: sideWall.optional(), right: sideWall.optional() }).optional(),
  viewers: z.array(viewer).max(40).optional(),
  objects: z.array(item).max(400).optional(),
  floor: z.array(floorThing).max(200).optional(),
  rules: z.array(rule).max(40).optional(),
  heat: z.strictObject({ x: coordinate, y: coordinate, celsius: z.number().min(-50).max(500) }).optional(),
});

const CENTRES = 'takes "wall", "between", "object" or "x"';
const centreRule = z.discriminatedUnion(
  'on',
  [
    z.strictObject({ on: z.literal('wall') }),
    z.strictObject({
      on: z.literal('between'),
      a: z.union([id, coordinate]),
      b: z.union([id, coordinate]),
    }),
    z.strictObject({ on: z.literal('object'), object: id }),
    z.strictObject({ on: z.literal('x'), x: coordinate }),
  ],
  CENTRES,
);

const aim = z.strictObject({
  height: school,
  schools: z
    .strictObject({
      eyes: z.strictObject({ reclineShare: share.optional(), settled: z.array(size).optional() }).optional(),
      'bottom-band': z
        .strictObject({ from: length, to: length })
        .refine((b) => b.from <= b.to, { path: ['to'], message: 'is below from' })
        .optional(),
      above: z.strictObject({ object: id.optional(), gap: length.optional() }).optional(),
      'line-up': z.strictObject({ edge: z.enum(['bottom', 'top', 'centre']), to: length }).optional(),
      'fit-between': z.strictObject({ below: id.optional(), above: id.optional(), ratio: share.optional() }).optional(),
      vote: z.strictObject({ top: size }).optional(),
      standing: z.strictObject({ eye: size }).optional(),
    })
    .optional(),
  centre: centreRule,
  sag: length.optional(),
  ceilingGap: length.optional(),
  liftOn: length.optional(),
  /** Comes later, under the set: its height, and what stays free above it and below it. */
  soundbar: z.strictObject({ height: partSize, gap: partLength }).optional(),
});

const measured = z.strictObject({
  /** Given when it is written, so that edits of two devices can meet; older files have none. */
  id: id.optional(),
  /** The set's edge, or a row of the plate's slots: from one row to another, upwards. */
  from: z.union([z.enum(['bottom', 'top']), z.string().regex(/^row:\d{1,3}$/, 'takes bottom, top or row:0, row:1 …')]),
  to: z
    .string()
    .regex(/^(hook|plate-top|plate-bottom|row:\d{1,3})$/, 'takes hook, plate-top, plate-bottom or row:0, row:1 …'),
  value: coordinate,
});

const levelReading = z
  .strictObject({
    id: id.optional(),
    instrument: z.enum(['spirit', 'digital']),
    length: size.optional(),
    gap: length.optional(),
    /** A spirit level by its bubble, in divisions off the middle; a division is 0.5 mm/m unless the level says otherwise. */
    bubble: z.number().min(0).max(20).optional(),
    division: z.number().positive().max(20).optional(),
    /** Or by what its low end had to be lifted over a span until the bubble was centred. */
    lifted: length.optional(),
    span: size.optional(),
    high: side.optional(),
    /** Which level it was: its own error is kept for its later readings. */
    level: z.string().min(1).max(40).optional(),
    angle: angle.optional(),
    turned: z.boolean().optional(),
    on: z.enum(['plate', 'set']).optional(),
    when: z.string().min(1).max(40).optional(),
  })
  .superRefine((r, ctx) => {
    const need = (field: 'length' | 'gap' | 'high' | 'angle' | 'lifted' | 'span') => {
      if (r[field] === undefined)
        ctx.addIssue({
          code: 'custom',
          path: [field],
          message: `is needed for a ${r.instrument} level`,
        });
    };
    if (r.instrument === 'digital') need('angle');
    else {
      const ways = [
        r.gap !== undefined || r.length !== undefined,
        r.bubble !== undefined,
        r.lifted !== undefined || r.span !== undefined,
      ].filter(Boolean).length;
      if (ways > 1)
        ctx.addIssue({
          code: 'custom',
          path: [],
          message: 'is read in one way: gap with length, bubble, or lifted with span',
        });
      else if (r.bubble !== undefined) {
        if (r.bubble > 0) need('high');
      } else if (r.lifted !== undefined || r.span !== undefined) {
        need('lifted');
        need('span');
        if ((r.lifted ?? 0) > 0) need('high');
      } else {
        need('length');
        need('gap');
        if (r.gap !== undefined && r.gap > 0) need('high');
      }
    }
  });

/** A day and a time of day where the room is: `2027-03-04T09:00`. */
const localTime = z.iso.datetime({ local: true, offset: false, error: 'takes a local time such as 2027-03-04T09:00' });

const note = z.union([words, z.strictObject({ text: words, at: at.optional() })]);

export const job = z
  .strictObject({
    format: z.literal('steddo-job'),
    version: z.literal(1),
    title: z.string().trim().min(1, 'needs a title').max(200),
    units,
    guessed: z.array(z.string().min(1)).optional(),
    screen,
    mount: mount.optional(),
    room,
    aim,
    measured: z.array(measured).max(40).optional(),
    choices: z
      .strictObject({
        centreY: coordinate.optional(),
        centreX: coordinate.optional(),
        plateX: coordinate.optional(),
        fold: side.optional(),
        armHole: wholeNumber.optional(),
        scheme: z.string().optional(),
        stack: z.string().optional(),
        packing: length.optional(),
        /** A level timber across two studs, and the plate onto that; or noggings put in between studs. */
        timber: z
          .strictObject({ height: partSize, thickness: partSize, way: z.enum(['across', 'noggings']).optional() })
          .optional(),
        setOut: z.enum(['one-bolt', 'held-up', 'template']).optional(),
        /** How far the set's middle may swing to either side of the fasteners' middle; held: something stops it there. */
        maxAside: length.optional(),
        asideHeld: z.boolean().optional(),
        /** In a corner: kept between the set and both walls, and its turn off the middle, degrees, to the right. */
        cornerGap: partLength.optional(),
        cornerTurn: z.number().min(-80).max(80).optional(),
        /** A monitor stood on its end. */
        portrait: z.boolean().optional(),
      })
      .optional(),
    evidence: z.array(evidence).max(2000).optional(),
    scans: z.array(scan).max(400).optional(),
    looks: z.array(look).max(400).optional(),
    fixing: z
      .strictObject({
        school: z.enum(['studs-only', 'stud-first', 'rated-anchors']).optional(),
        acknowledged: z.array(z.strictObject({ code: z.string().min(1), at: at.optional() })).optional(),
      })
      .optional(),
    anchors: z.array(anchor).optional(),
    lags: z.array(lag).optional(),
    bits: z.array(bit).optional(),
    /** The set's lower edge above the floor where it is taken up, and how far the body turns with it. */
    hang: z
      .strictObject({
        /** From the set's edges to the wall's ends, or to what it is centred between. */
        gaps: z.strictObject({ left: length.optional(), right: length.optional() }).optional(),
        lift: z.strictObject({ from: length.optional(), turn: z.number().min(0).max(180).optional() }).optional(),
      })
      .optional(),
    leads: z
      .array(
        z.strictObject({
          id,
          what: words,
          /** The set, or a thing of the room that it starts at. */
          from: z.string().optional(),
          to: z.string().optional(),
          /** Where it is plugged into the set, from its middle, seen from the front. */
          port: z.strictObject({ right: partCoordinate, up: partCoordinate }).optional(),
          plugDepth: partLength.optional(),
          length: length.optional(),
          route: z.enum(['behind', 'arm', 'trunking', 'rated-kit']).optional(),
          /** When it is plugged in: after the hanging on an arm, else while the set is hooked. */
          when: z.enum(['before', 'hooked', 'after']).optional(),
          /** What it is for comes another day. */
          later: z.boolean().optional(),
          /** Of trunking, along the wall, corner to corner. */
          legs: z.array(length).min(1).max(12).optional(),
        }),
      )
      .max(60)
      .optional(),
    ticks: z
      .array(z.strictObject({ step: tickId, at: at.optional(), note: words.optional() }))
      .max(400)
      .optional(),
    drilled: z
      .array(
        z.strictObject({
          hole: id,
          x: coordinate,
          y: coordinate,
          wall: onWall.optional(),
          result: z.enum([
            'good',
            'drifted',
            'stud',
            'hollow',
            'metal',
            'blocked',
            'broken',
            'spun',
            'joint',
            'felt-something',
          ]),
          /** What the hole was made for: the plan of that day had a lag there, or a toggle. */
          into: holeInto.optional(),
          diameter: size.optional(),
          at: at.optional(),
        }),
      )
      .optional(),
    photos: z.array(photo).max(400).optional(),
    /** When somebody comes, local time. */
    visit: z.strictObject({ start: localTime }).optional(),
    floorHeights: z.array(z.strictObject({ id: id.optional(), x: coordinate, drop: coordinate })).optional(),
    levelReadings: z.array(levelReading).max(400).optional(),
    record: z
      .strictObject({
        /** When the job was said to be done. */
        done: at.optional(),
        built: z.array(z.union([words, z.record(z.string(), z.json())])).optional(),
        notes: z.array(note).optional(),
        open: z.array(note).optional(),
        spares: z.array(note).optional(),
      })
      .optional(),
  })
  .superRefine((value, ctx) => {
    const seen = new Map<string, string>();
    const lists: [string, { id?: string | undefined }[] | undefined][] = [
      ['room.wall.zones', value.room.wall.zones],
      ['room.viewers', value.room.viewers],
      ['room.objects', value.room.objects],
      ['room.floor', value.room.floor],
      ['evidence', value.evidence],
      ['scans', value.scans],
      ['looks', value.looks],
      ['anchors', value.anchors],
      ['lags', value.lags],
      ['bits', value.bits],
      ['leads', value.leads],
      ['photos', value.photos],
      ['measured', value.measured],
      ['levelReadings', value.levelReadings],
      ['floorHeights', value.floorHeights],
    ];
    for (const [where, list] of lists)
      list?.forEach((entry, index) => {
        if (entry.id === undefined) return;
        const first = seen.get(entry.id);
        if (first !== undefined)
          ctx.addIssue({
            code: 'custom',
            path: [...where.split('.'), index, 'id'],
            message: `"${entry.id}" is already used at ${first}`,
          });
        else seen.set(entry.id, `${where}.${index}`);
      });
  });

export type Job = z.infer<typeof job>;
export type Drilled = NonNullable<Job['drilled']>[number];
export type Screen = z.infer<typeof screen>;
export type Measured = z.infer<typeof measured>;
export type LevelReading = z.infer<typeof levelReading>;
export type CentreRule = z.infer<typeof centreRule>;

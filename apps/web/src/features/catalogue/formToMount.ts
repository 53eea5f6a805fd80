import type { BuildKind, Extent, Fixing, Mount, MountType, Slot } from '@steddo/contract';
import { WALL_FIXINGS, type FixingField, type WallFixing } from './wallFixings';

/** The form as it was read: mm, kg, degrees; what was left empty is absent. */
export interface Read extends Partial<Record<FixingField, number | undefined>> {
  name: string;
  type: MountType;
  walls: BuildKind[];
  maxMass: number;
  sizeMin: number;
  sizeMax: number;
  patternMin: Extent;
  patternMax: Extent;
  folded: number;
  extended?: number | undefined;
  tiltDown?: number | undefined;
  tiltUp?: number | undefined;
  swivel?: number | undefined;
  slide?: number | undefined;
  studs?: number | undefined;
  price?: number | undefined;
  plateWidth?: number | undefined;
  plateHeight?: number | undefined;
  plateThickness?: number | undefined;
  rows?: number[] | undefined;
  columns?: number[] | undefined;
  slotLength?: number | undefined;
  slotHeight?: number | undefined;
  hook?: number | undefined;
  armHoles?: number[] | undefined;
  bracket?: number | undefined;
  armLinks?: number[] | undefined;
  armHead?: number | undefined;
  armRoot?: number | undefined;
  foldOffset?: number | undefined;
  bagScrews?: { thread: string; length: number }[] | undefined;
  bagSpacers?: number[] | undefined;
  bagWashers?: number[] | undefined;
  joint: NonNullable<Mount['joint']>;
  latch: NonNullable<Mount['latch']> | 'unknown';
  rise?: number | undefined;
  hookSpacing?: number | undefined;
  trimHeight?: number | undefined;
  trimPitch?: number | undefined;
  trimSpan?: number | undefined;
  trimRoll?: number | undefined;
  tools?: string[] | undefined;
}

/** The mount of a form; what the form does not know stays as it was before. */
export function toMount(v: Read, id: string, before: Mount | undefined): Mount {
  const { plate, slots } = plateOf(v, before);
  const base: Mount = {
    ...(before ?? {}),
    id,
    name: v.name,
    type: v.type,
    maxMass: v.maxMass,
    screenSize: { min: v.sizeMin, max: v.sizeMax },
    pattern: { ...before?.pattern, min: v.patternMin, max: v.patternMax },
    walls: wallsOf(v, before),
    depth: { folded: v.folded, ...(v.extended === undefined ? {} : { extended: v.extended }) },
  };
  const set = <K extends keyof Mount>(key: K, value: Mount[K] | undefined) => {
    if (value === undefined) delete base[key];
    else base[key] = value;
  };
  set(
    'tilt',
    v.tiltDown === undefined ? undefined : { down: v.tiltDown, ...(v.tiltUp === undefined ? {} : { up: v.tiltUp }) },
  );
  set('swivel', v.swivel === undefined ? undefined : { left: v.swivel, right: v.swivel });
  set('slide', v.slide);
  set('studs', v.studs === undefined ? undefined : { ...before?.studs, count: v.studs });
  set('price', v.price);
  set('plate', plate && { ...plate, ...(slots ? { slots } : {}) });
  set('hook', v.hook === undefined ? undefined : { above: v.hook, ...given({ spacing: v.hookSpacing }) });
  set('patternAboveHook', v.armHoles);
  set('arm', armOf(v, before));
  set('bag', bagOf(v));
  // a rail is what it is unless somebody says otherwise
  set('joint', v.joint === 'rail' && before?.joint === undefined ? undefined : v.joint);
  set('latch', v.latch === 'unknown' ? undefined : v.latch);
  set('rise', v.rise);
  set('trim', trimOf(v));
  set('tools', v.tools);
  return base;
}

function wallsOf(v: Read, before: Mount | undefined): Mount['walls'] {
  return Object.fromEntries(
    v.walls.map((wall) => {
      const known = before?.walls[wall] ?? {};
      const asked = WALL_FIXINGS.find((f) => f.wall === wall);
      const fixing = asked && fixingOf(v, asked);
      return [wall, fixing ? { ...known, fixing: { ...known.fixing, ...fixing } } : known];
    }),
  );
}

/** What was typed of a wall's fixing; absent until all of its measures are there. */
function fixingOf(v: Read, { prefix, kind }: WallFixing): Fixing | undefined {
  const [diameter, length, count] = [v[`${prefix}Diameter`], v[`${prefix}Length`], v[`${prefix}Count`]];
  if (diameter === undefined || length === undefined || count === undefined) return undefined;
  const [tension, shear] = [v[`${prefix}Tension`], v[`${prefix}Shear`]];
  return { kind, diameter, length, count, ...given({ tension, shear }) };
}

/** Those with an arm to measure; of the others the form asks for none. */
const ARMS = new Set<MountType>(['full-motion', 'corner', 'vehicle', 'monitor-arm']);
export const hasArm = (type: MountType): boolean => ARMS.has(type);

/** Links make an arm; a scissor, which the form does not ask for, stays as it was. */
function armOf(v: Read, before: Mount | undefined): Mount['arm'] {
  if (!hasArm(v.type)) return undefined;
  const measures = given({ head: v.armHead, rootX: v.armRoot, foldOffset: v.foldOffset });
  if (v.armLinks) return { ...limitsOf(before), kind: 'links', links: v.armLinks, ...measures };
  return before?.arm?.kind === 'scissor' ? { ...before.arm, ...measures } : undefined;
}

const limitsOf = (before: Mount | undefined) => given({ limits: before?.arm?.limits });

function trimOf({ trimHeight: height, trimRoll: roll, trimPitch: pitch, trimSpan: screwSpan }: Read): Mount['trim'] {
  const trim = given({ height, roll, pitch, screwSpan });
  return Object.keys(trim).length > 0 ? trim : undefined;
}

function bagOf({ bracket, bagScrews: screws, bagSpacers: spacers, bagWashers: washers }: Read): Mount['bag'] {
  const bag = given({ bracket, screws, spacers, washers });
  return Object.keys(bag).length > 0 ? bag : undefined;
}

type Given<T> = { [K in keyof T]?: Exclude<T[K], undefined> };

/** Without what is undefined. */
const given = <T extends object>(all: T): Given<T> =>
  Object.fromEntries(Object.entries(all).filter(([, value]) => value !== undefined)) as Given<T>;

/** Rows and columns of like slots, hole to hole, are all that a label-only plate needs for its slots. */
function plateOf(v: Read, before: Mount | undefined): { plate: Mount['plate']; slots: Slot[] | undefined } {
  const { plateWidth: width, plateHeight: height, plateThickness, rows, columns, slotLength, slotHeight } = v;
  if (width === undefined || height === undefined) return { plate: undefined, slots: undefined };
  const plate = {
    ...before?.plate,
    width,
    height,
    ...(plateThickness === undefined ? {} : { thickness: plateThickness }),
  };
  if (!rows || !columns || slotLength === undefined || slotHeight === undefined) return { plate, slots: undefined };
  return { plate, slots: rows.flatMap((y) => columns.map((x) => ({ x, y, length: slotLength, height: slotHeight }))) };
}

import type { BuildKind, Extent, Mount, MountType, Slot } from '@steddo/contract';

/** The form as it was read: mm, kg, degrees; what was left empty is absent. */
export interface Read {
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
  lagDiameter?: number | undefined;
  lagLength?: number | undefined;
  lagCount?: number | undefined;
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
  set('hook', v.hook === undefined ? undefined : { ...before?.hook, above: v.hook });
  set('patternAboveHook', v.armHoles);
  set('bag', v.bracket === undefined ? before?.bag : { ...before?.bag, bracket: v.bracket });
  return base;
}

function wallsOf(v: Read, before: Mount | undefined): Mount['walls'] {
  const { lagDiameter, lagLength, lagCount } = v;
  const lag =
    lagDiameter !== undefined && lagLength !== undefined && lagCount !== undefined
      ? { kind: 'lag' as const, diameter: lagDiameter, length: lagLength, count: lagCount }
      : undefined;
  return Object.fromEntries(
    v.walls.map((kind) => {
      const known = before?.walls[kind] ?? {};
      return [kind, kind === 'timber-stud' && lag ? { ...known, fixing: { ...known.fixing, ...lag } } : known];
    }),
  );
}

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

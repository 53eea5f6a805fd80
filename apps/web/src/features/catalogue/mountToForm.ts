import type { BuildKind, Fixing, Mount, Units } from '@steddo/contract';
import { armHoles, formatTape, fromKg, tapeOf } from '@steddo/core';
import { rounded } from '@steddo/text';
import { EMPTY, type MountField, type MountTyped } from './mountForm';
import { WALL_FIXINGS, measuresOf, ratingsOf, type FixingField, type WallFixing } from './wallFixings';

/** A mount as it would be typed. */
export function typedOf(mount: Mount, units: Units): MountTyped {
  const tape = tapeOf(units);
  const long = (mm: number | undefined) => (mm === undefined ? '' : formatTape(mm, tape).replace(/ (in|mm)$/, ''));
  const plain = (value: number | undefined) => (value === undefined ? '' : rounded(value, 3));
  const list = (all: readonly number[] | undefined) => (all ? all.map((n) => rounded(n, 2)).join('; ') : '');
  const pattern = (p: { width: number; height: number }) => `${rounded(p.width, 1)} x ${rounded(p.height, 1)}`;
  const slots = mount.plate?.slots ?? [];
  const unique = (all: number[]) => [...new Set(all)].sort((a, b) => a - b);
  const kg = mount.maxMass;
  return {
    ...EMPTY,
    name: mount.name,
    type: mount.type,
    maxMass: units === 'imperial' ? rounded(fromKg(kg, 'lb'), 2) : rounded(kg, 2),
    sizeMin: long(mount.screenSize.min),
    sizeMax: long(mount.screenSize.max),
    patternMin: pattern(mount.pattern.min),
    patternMax: pattern(mount.pattern.max),
    walls: Object.keys(mount.walls) as BuildKind[],
    folded: long(mount.depth.folded),
    extended: long(mount.depth.extended),
    tiltDown: plain(mount.tilt?.down),
    tiltUp: plain(mount.tilt?.up),
    swivel: plain(mount.swivel && Math.min(mount.swivel.left, mount.swivel.right)),
    slide: long(mount.slide),
    studs: plain(mount.studs?.count),
    price: plain(mount.price),
    plateWidth: long(mount.plate?.width),
    plateHeight: long(mount.plate?.height),
    plateThickness: plain(mount.plate?.thickness),
    rows: list(slots.length > 0 ? unique(slots.map((s) => s.y)) : undefined),
    columns: list(slots.length > 0 ? unique(slots.map((s) => s.x)) : undefined),
    slotLength: plain(slots[0]?.length),
    slotHeight: plain(slots[0]?.height),
    hook: long(mount.hook?.above),
    armHoles: list(armHoles(mount).length > 0 ? armHoles(mount) : undefined),
    bracket: plain(mount.bag?.bracket),
    armLinks: list(mount.arm?.links),
    armHead: plain(mount.arm?.head),
    armRoot: plain(mount.arm?.rootX),
    foldOffset: plain(mount.arm?.foldOffset),
    bagScrews: (mount.bag?.screws ?? []).map((s) => `${s.thread} x ${rounded(s.length, 2)}`).join('; '),
    bagSpacers: list(mount.bag?.spacers),
    bagWashers: list(mount.bag?.washers),
    joint: mount.joint ?? 'rail',
    latch: mount.latch ?? 'unknown',
    rise: plain(mount.rise),
    hookSpacing: plain(mount.hook?.spacing),
    trimHeight: plain(mount.trim?.height),
    trimPitch: plain(mount.trim?.pitch),
    trimSpan: plain(mount.trim?.screwSpan),
    trimRoll: plain(mount.trim?.roll),
    tools: (mount.tools ?? []).join('; '),
    ...Object.assign({}, ...WALL_FIXINGS.map((f) => typedFixing(f, mount.walls[f.wall]?.fixing, plain))),
  };
}

/** A wall's fixing as typed; one of another kind is not for the form to show. */
function typedFixing(
  { prefix, kind }: WallFixing,
  fixing: Fixing | undefined,
  plain: (value: number | undefined) => string,
): Partial<Record<FixingField, string>> {
  if (fixing?.kind !== kind) return {};
  return {
    [`${prefix}Diameter`]: plain(fixing.diameter),
    [`${prefix}Length`]: plain(fixing.length),
    [`${prefix}Count`]: plain(fixing.count),
    [`${prefix}Tension`]: plain(fixing.tension),
    [`${prefix}Shear`]: plain(fixing.shear),
  };
}

/** A short id from the name that no other mount has: `Own arm 2` gives `own-arm-2`. */
export function idFor(name: string, taken: (id: string) => boolean): string {
  const base =
    name
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '')
      .slice(0, 60) || 'mount';
  if (!taken(base)) return base;
  for (let n = 2; ; n++) if (!taken(`${base}-${n}`)) return `${base}-${n}`;
}

/** Which of the form's fields make up which part of a mount. */
const PARTS: readonly [fields: MountField[], path: string][] = [
  [['maxMass'], 'maxMass'],
  [['sizeMin', 'sizeMax'], 'screenSize'],
  [['patternMin', 'patternMax'], 'pattern'],
  [['folded', 'extended'], 'depth'],
  [['tiltDown', 'tiltUp'], 'tilt'],
  [['swivel'], 'swivel'],
  [['slide'], 'slide'],
  [['studs'], 'studs'],
  [['walls', ...WALL_FIXINGS.flatMap((f) => [...measuresOf(f), ...ratingsOf(f)])], 'walls'],
  [['plateWidth', 'plateHeight', 'plateThickness', 'rows', 'columns', 'slotLength', 'slotHeight'], 'plate'],
  [['rows', 'columns', 'slotLength', 'slotHeight'], 'plate.slots'],
  [['hook', 'hookSpacing'], 'hook'],
  [['joint'], 'joint'],
  [['latch'], 'latch'],
  [['rise'], 'rise'],
  [['trimHeight', 'trimPitch', 'trimSpan', 'trimRoll'], 'trim'],
  [['tools'], 'tools'],
  [['armHoles'], 'patternAboveHook'],
  [['armLinks', 'armHead', 'armRoot', 'foldOffset'], 'arm'],
  [['bracket', 'bagScrews', 'bagSpacers', 'bagWashers'], 'bag'],
];

/**
 * Keeps what nobody touched as it was: the form shows tape numbers, and a plate whose slots are no
 * plain grid must not become one because its price was changed.
 */
export function keepUntouched(edited: Mount, before: Mount, touched: (field: MountField) => boolean): Mount {
  const kept: Record<string, unknown> = { ...edited };
  for (const [fields, path] of PARTS) {
    if (fields.some(touched)) continue;
    const [first = '', second] = path.split('.');
    const from = (before as Record<string, unknown>)[first];
    if (second === undefined) {
      if (from === undefined) delete kept[first];
      else kept[first] = from;
    } else if (isRecord(from) && isRecord(kept[first]) && from[second] !== undefined)
      kept[first] = { ...kept[first], [second]: from[second] };
  }
  return kept as unknown as Mount;
}

const isRecord = (value: unknown): value is Record<string, unknown> => typeof value === 'object' && value !== null;

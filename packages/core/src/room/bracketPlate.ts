import type { Mount, Plate, Working } from '@steddo/contract';
import { leaf, sum } from '../primitives/working';

type Brackets = NonNullable<Mount['brackets']>;

/**
 * Two brackets that stand apart as one plate: open all the way up between them, the slots of the left one first. Two of 60
 * by 300 at -230 and 230: 520 wide, open from -200 to 200.
 */
export function platedMount(mount: Mount): Mount {
  const { brackets } = mount;
  if (!brackets) return mount;
  const [a, b] = inOrder(brackets);
  const height = Math.max(a!.height, b!.height);
  const reach = Math.max(...brackets.map((k) => Math.abs(k.x) + k.width / 2));
  const made: Plate = {
    ...(mount.plate?.thickness === undefined ? {} : { thickness: mount.plate.thickness }),
    width: 2 * reach,
    height,
    open: [{ left: a!.x + a!.width / 2, right: b!.x - b!.width / 2, bottom: 0, top: height }],
    slots: [a!, b!].flatMap((k) => k.slots.map((s) => ({ ...s, x: s.x + k.x }))),
  };
  return { ...mount, plate: made };
}

/** A bracket on the wall: its outline, and which of the plate's slots are its own. mm. */
export interface BracketAt {
  x: number;
  left: number;
  right: number;
  bottom: number;
  top: number;
  slots: readonly [from: number, to: number];
}

/** Where the two are with the plate's middle and bottom there; undefined for one plate. */
export function bracketsAt({ brackets }: Mount, x: number, bottom: number): [BracketAt, BracketAt] | undefined {
  if (!brackets) return undefined;
  const [a, b] = inOrder(brackets);
  const at = (k: Brackets[number], from: number): BracketAt => ({
    x: x + k.x,
    left: x + k.x - k.width / 2,
    right: x + k.x + k.width / 2,
    bottom,
    top: bottom + k.height,
    slots: [from, from + k.slots.length],
  });
  return [at(a!, 0), at(b!, a!.slots.length)];
}

const inOrder = (brackets: Brackets): Brackets => [...brackets].sort((p, q) => p.x - q.x);

/** How far a slot is from the plate's middle, and above its bottom, as the job has it: of a bracket by where that is. */
export function slotAt({ brackets, plate }: Mount, index: number): { x: Working; y: Working; path: string } {
  const slot = plate!.slots![index]!;
  const y = (path: string) => leaf('slot-up', slot.y, 'mm', { path: `${path}.y` });
  const own = brackets && ownSlot(brackets, index);
  if (!own) {
    const path = `mount.plate.slots.${index}`;
    return { path, x: leaf('slot-x', slot.x, 'mm', { path: `${path}.x` }), y: y(path) };
  }
  const bracket = `mount.brackets.${own.bracket}`;
  const path = `${bracket}.slots.${own.slot}`;
  const at = brackets[own.bracket]!;
  return {
    path,
    x: sum(
      'slot-x',
      leaf('bracket-x', at.x, 'mm', { path: `${bracket}.x` }),
      leaf('slot-x', at.slots[own.slot]!.x, 'mm', { path: `${path}.x` }),
    ),
    y: y(path),
  };
}

function ownSlot(brackets: Brackets, index: number): { bracket: number; slot: number } {
  const order = inOrder(brackets);
  const first = order[0]!.slots.length;
  const [own, slot] = index < first ? [order[0]!, index] : [order[1]!, index - first];
  return { bracket: brackets.indexOf(own), slot };
}

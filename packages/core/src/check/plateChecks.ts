import type { Hole, Job, Obligation } from '@steddo/contract';
import { alike, atLeast, atMost, flag, SUM_MM } from './obligations';
import { fixingFor, holeWall, platesOf, spotOf, type Read } from './wallRead';

/* That there are holes, as many as the leaflet asks for, each in a slot, at the height that the job's tape gives. */

/** Holes are never nearer than so many diameters. A shank that is past its slot's end by so much is in it, mm. */
const APART_DIAMETERS = 3;
const SLOT_MM = 0.05;

export const plateChecks = (read: Read): Obligation[] => [
  ...thereChecks(read),
  ...countCheck(read),
  ...slotChecks(read),
  ...sumChecks(read),
  ...meetChecks(read),
];

/** At least one hole for each plate, each of two brackets, each of a rack's feet. */
function thereChecks({ plan, mount, holes }: Read): Obligation[] {
  const side = plan.sideWall?.side;
  if (mount.corner)
    return ['main', side ?? 'left'].map((w) =>
      atLeast('holes-there', w, holes.filter((h) => (h.wall ?? 'main') === w).length, 1, 'count'),
    );
  if (!mount.brackets) return [atLeast('holes-there', 'plate', holes.length, 1, 'count')];
  const [first] = [...mount.brackets].sort((a, b) => a.x - b.x);
  const left = holes.filter((h) => h.slot < first!.slots.length).length;
  return [left, holes.length - left].map((n, i) => atLeast('holes-there', i ? 'right' : 'left', n, 1, 'count'));
}

/** As many as the label asks for in the walls that the holes are in, the most of them. */
function countCheck(read: Read): Obligation[] {
  const { plan, mount, holes, job } = read;
  if (holes.length === 0) return [];
  const asked = holes.map((h) => {
    const { build, timber } = spotOf(holeWall(read, h), h, plan.timber);
    return fixingFor(mount, job, build, timber)?.count ?? 2;
  });
  return [atLeast('count', 'plate', holes.length, Math.max(...asked), 'count')];
}

/** Every shank inside a slot of its plate, and no two too near to each other. */
function slotChecks({ plan, mount, holes }: Read): Obligation[] {
  const { slots } = platesOf(mount, plan);
  const drawn = plan.placement?.plate !== undefined || plan.sideWall?.plate !== undefined;
  const open = holes.filter((h) => !h.done);
  if (!drawn || slots.length === 0) return [];
  const boxOf = (h: Hole) => ((h.wall ?? 'main') === 'main' ? plan.placement?.plate : plan.sideWall?.plate);
  return open.flatMap((h): Obligation[] => {
    const box = boxOf(h);
    const slot = slots[h.slot];
    if (!box || !slot) return [flag('in-slot', h.id, false)];
    const { diameter } = h.fixing;
    const dx = Math.abs(h.x - box.x - slot.x) - (slot.length - diameter) / 2;
    const dy = Math.abs(h.y - box.bottom - slot.y) - (slot.height - diameter) / 2;
    const near = holes.filter((o) => o !== h && o.wall === h.wall).map((o) => Math.hypot(o.x - h.x, o.y - h.y));
    return [
      atMost('in-slot', h.id, Math.max(dx, dy), SLOT_MM, 'mm'),
      atLeast('in-slot', h.id, Math.min(1e4, ...near), APART_DIAMETERS * diameter, 'mm'),
    ];
  });
}

/** Each hole's height, from the TV's lower edge up by what was measured on it, or by the drawings of TV and mount. */
function sumChecks(read: Read): Obligation[] {
  const { plan, job, holes, mount } = read;
  const { placement } = plan;
  const up = placement && plateUp(read);
  const checks: Obligation[] = [...ruleCheck(read)];
  for (const h of holes) {
    const drilled = job.drilled?.findLast((d) => d.hole === h.id && (d.wall ?? 'main') === (h.wall ?? 'main'));
    if (h.done && drilled) {
      checks.push(alike('sum', h.id, Math.hypot(h.x - drilled.x, h.y - drilled.y), 0, 'mm', { mm: SUM_MM }));
      continue;
    }
    const mark = plan.marks?.find((m) => m.id === h.id);
    if (mark) checks.push(alike('sum', h.id, mark.fromFloor, h.y, 'mm', { mm: SUM_MM }));
    if (mark) checks.push(alike('sum', h.id, mark.fromLeft, h.x, 'mm', { mm: SUM_MM }));
    const slot = platesOf(mount, plan).slots[h.slot];
    if (up === undefined || !placement || !slot || (mount.plate?.width ?? 0) === 0) continue;
    checks.push(alike('sum', h.id, h.y, placement.bottom + up + slot.y, 'mm', { mm: SUM_MM }));
  }
  return checks;
}

/** From the TV's lower edge to the plate's: the first that was measured on the TV, else by hook and pattern; and the sag. */
function plateUp({ job, mount, plan }: Read): number | undefined {
  const { placement, screen } = plan;
  const height = screen.outline.height;
  const sag = job.aim.sag ?? 0;
  const rows = [...new Set((mount.plate?.slots ?? []).map((s) => s.y))].sort((a, b) => a - b);
  const within: Record<string, number | undefined> = {
    ...{ hook: mount.hook?.above, 'plate-bottom': 0, 'plate-top': mount.plate?.height },
    ...Object.fromEntries(rows.map((y, i) => [`row:${i}`, y])),
  };
  const read = job.measured?.find((m) => (m.from === 'bottom' || m.from === 'top') && within[m.to] !== undefined);
  if (read) return (read.from === 'bottom' ? read.value : height - read.value) - within[read.to]! + sag;
  const holes = mount.patternAboveHook;
  const above = typeof holes === 'number' ? holes : holes?.[placement?.armHole ?? 0];
  if (above === undefined || mount.hook === undefined) return undefined;
  return height / 2 + patternUp(job) - above - mount.hook.above + sag;
}

/** The middle of the TV's holes above its own; of a screen stood on its end what was its right is up. */
const patternUp = ({ screen, choices }: Job): number =>
  (choices?.portrait ? screen.patternCentre?.right : screen.patternCentre?.up) ?? 0;

/** The TV's lower edge as its rule has it, where the rule alone decides: by hand, by line, by vote, over furniture. */
function ruleCheck({ job, plan }: Read): Obligation[] {
  const { placement, screen } = plan;
  const wanted = placement && centreWanted(job, screen.outline.height);
  const held = plan.findings.some(
    (f) => f.code === 'height-moved' || f.code === 'plate-follows-holes' || f.code === 'joints-cleared',
  );
  if (!placement || wanted === undefined || placement.binding.length > 0 || held) return [];
  return [alike('sum', 'set', placement.centre.y, wanted, 'mm', { mm: SUM_MM })];
}

function centreWanted({ aim, choices, room }: Job, height: number): number | undefined {
  if (choices?.centreY !== undefined) return choices.centreY;
  const { above, vote, standing, eyes } = aim.schools ?? {};
  const line = aim.schools?.['line-up'];
  switch (aim.height) {
    case 'line-up':
      return line && line.to + (line.edge === 'bottom' ? height / 2 : line.edge === 'top' ? -height / 2 : 0);
    case 'vote':
      return vote && vote.top - height / 2;
    case 'standing':
      return standing?.eye;
    case 'above': {
      const top = room.objects?.find((o) => o.id === above?.object)?.top;
      return top !== undefined && above?.gap !== undefined ? top + above.gap + height / 2 : undefined;
    }
    case 'eyes': {
      const told = eyes?.settled;
      return told?.length && !room.viewers?.some((v) => v.settled?.length)
        ? told.reduce((a, b) => a + b, 0) / told.length
        : undefined;
    }
    default:
      return undefined;
  }
}

/** Chances under which a hole is no go: in wood and board, in masonry, and what a caution may still carry. */
const GO = 0.97;
const MASONRY = 0.9;
const JOINT_DIAMETERS = 1.5;
/** From a joint's middle: its mark and the drill, and 0.90 of all; mm. */
const JOINT_SD_MM = 2;
const DRILL_SD_MM = Math.hypot(1.5, 0.7);
const NINE_OF_TEN = 1.2816;

/** The stated chance, and that the ribbon of wood says no less at the very spot. */
function meetChecks(read: Read): Obligation[] {
  return read.holes.flatMap((h): Obligation[] => {
    if (h.done) return [];
    const stated = atLeast('meets', h.id, h.probability, h.into === 'masonry' ? MASONRY : GO, 'ratio');
    const wood = h.wall === undefined || h.wall === 'main' ? read.plan.wood : read.plan.sideWall?.wood;
    if (h.into === 'masonry') return [stated, ...bedCheck(read, h)];
    if (!wood || h.into === 'backing') return [stated];
    const at = h.x / wood.step;
    const ends = [Math.floor(at), Math.ceil(at)].map((i) => wood.p[i] ?? 0);
    if (h.into === 'board')
      return [stated, atMost('meets', h.id, Math.max(...ends), 1 - h.probability + RIBBON, 'ratio')];
    return [stated, atLeast('meets', h.id, Math.min(...ends), h.probability - RIBBON, 'ratio')];
  });
}
const RIBBON = 0.02;

/** Off the nearest bed by its diameters, with room for mark and drill; for the beds that were marked. */
function bedCheck(read: Read, hole: Hole): Obligation[] {
  const wall = holeWall(read, hole);
  const { build } = spotOf(wall, hole, undefined);
  const zoned = wall.zones.some((z) => z.build?.kind ?? z.build?.masonry ?? z.build?.unit);
  if (build.masonry === 'concrete' || zoned || hole.unmarked?.includes('bed')) return [];
  const beds = wall.evidence.filter((e) => e.kind === 'joint' && e.runs !== 'vertical');
  const usual = build.masonry === 'brick' ? 65 : build.masonry === 'stone' ? 150 : 215;
  const rise = (build.unit?.height ?? usual) + (build.unit?.joint ?? 10);
  if (beds.length === 0) return [];
  // the joints that most marks agree about
  const off = (a: number, b: number) => Math.abs(a - b - Math.round((a - b) / rise) * rise);
  const agree = beds.map((b) => beds.filter((o) => off(o.y!, b.y!) <= 10));
  const most = agree.reduce((a, b) => (b.length >= a.length ? b : a));
  const nearest = Math.min(...most.map((b) => off(hole.y, b.y!)));
  const room = NINE_OF_TEN * Math.hypot(JOINT_SD_MM / Math.sqrt(most.length), DRILL_SD_MM);
  return [atLeast('meets', hole.id, nearest - room + SLACK_MM, JOINT_DIAMETERS * hole.bit, 'mm')];
}
/** Marks differ among themselves by this, mm. */
const SLACK_MM = 2;

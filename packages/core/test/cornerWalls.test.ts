import { type Job, checkFile, job as jobFormat } from '@steddo/contract';
import { demoCatalogue, sewingCorner } from '@steddo/samples';
import {
  applyCommand,
  looksOnWall,
  plan,
  sideWallCommand,
  sideWallJob,
  turnCorner,
  wallSeen,
  withKit,
  type Command,
} from '../src';

/* One wall of a corner as if it were the room's only one: what is seen of it, and where an edit made there goes. */

const job = withKit(sewingCorner, demoCatalogue);
const made = plan(job);

describe('one wall of a corner', () => {
  it('shows its own studs, holes and marks, and the set as far as it hangs before that wall', () => {
    const main = wallSeen(job, made, 'main').plan;
    const side = wallSeen(job, made, 'left').plan;
    expect(main.holes!.map((h) => h.id)).toEqual(['h1', 'h2', 'h3']);
    expect(side.holes!.map((h) => h.id)).toEqual(['s1', 's2', 's3']);
    expect(side.studs).toEqual(made.sideWall!.studs);
    expect(main.studs).toEqual(made.studs);
    // by hand: the front's edge is 41 beyond where the back's edge touches, 898 / 2 x root 2 along
    const touch = (898 / 2) * Math.SQRT2;
    for (const { placement } of [main, side]) {
      expect(placement!.left).toBeCloseTo(0, 6);
      expect(placement!.right).toBeCloseTo(touch + 58 / Math.SQRT2, 6);
      expect(placement!.plate).toBeDefined();
    }
    expect(side.placement!.plate!.x).toBeCloseTo(made.corner!.feet![1]!.x, 9);
  });

  it('a plan that is no corner’s is seen as it is', () => {
    const { corner: _, ...plain } = made;
    expect(wallSeen(job, plain, 'main')).toEqual({ job, plan: plain });
  });

  it('says where to look next on each: where nothing is marked on one, that one first', () => {
    const bare: Job = { ...job, evidence: job.evidence!.filter((e) => e.wall === undefined) };
    const p = plan(bare);
    const side = looksOnWall(bare, p, 'left');
    expect(side!.looks.length).toBeGreaterThan(0);
    // about where the foot would come
    expect(Math.abs(side!.looks[0]!.x - made.corner!.feet![1]!.x)).toBeLessThan(450);
    expect(looksOnWall(job, made, 'main')!.looking.enough).toBeDefined();
  });
});

describe('a corner turned to the other end', () => {
  const turned = applyCommand(sewingCorner, turnCorner(sewingCorner, 'left', 'right')).job;

  it('takes its side wall there with all that was entered for it, and nothing is left behind', () => {
    expect(JSON.stringify({ ...turned, room: { ...turned.room, corner: 'left' } })).not.toMatch(/"wall":"left"/);
    expect(turned.room.sideWalls).toEqual({ right: sewingCorner.room.sideWalls!.left });
    const there = (of: Job, side: 'left' | 'right') => sideWallJob(of, side);
    expect(there(turned, 'right').evidence).toEqual(there(sewingCorner, 'left').evidence);
    expect(there(turned, 'right').room.objects).toEqual(there(sewingCorner, 'left').room.objects);
    expect(turned.evidence!.filter((e) => !e.wall)).toEqual(sewingCorner.evidence!.filter((e) => !e.wall));
    expect(checkFile(jobFormat, turned).ok).toBe(true);
  });

  it('and back it is as it was; turned to where it is nothing moves', () => {
    expect(applyCommand(turned, turnCorner(turned, 'right', 'left')).job).toEqual(sewingCorner);
    expect(applyCommand(sewingCorner, turnCorner(sewingCorner, 'left', 'left')).job).toEqual(sewingCorner);
  });
});

describe('an edit made at the other wall', () => {
  const there = (command: Command, of: Job = sewingCorner) =>
    applyCommand(of, sideWallCommand(of, 'left', command)).job;

  it('puts marks, looks, things and parts onto that wall', () => {
    const mark = { id: 'e9', kind: 'centre', x: 400, y: 1300 };
    expect(there({ do: 'put', path: 'evidence.e9', value: mark }).evidence!.at(-1)).toEqual({ ...mark, wall: 'left' });
    const look = { id: 'k9', x: 400, y: 1300, found: 'clear' };
    expect(there({ do: 'put', path: 'looks.k9', value: look }).looks!.at(-1)).toMatchObject({ wall: 'left' });
    const thing = { id: 'o9', kind: 'shelf', left: 1, right: 2, bottom: 3, top: 4 };
    expect(there({ do: 'put', path: 'room.objects.o9', value: thing }).room.objects!.at(-1)).toMatchObject({
      wall: 'left',
    });
    const zone = { id: 'z9', left: 1, right: 2, bottom: 3, top: 4 };
    const zoned = there({ do: 'put', path: 'room.wall.zones.z9', value: zone });
    expect(zoned.room.wall.zones).toEqual([{ ...zone, wall: 'left' }]);
    expect(checkFile(jobFormat, zoned).ok).toBe(true);
  });

  it('gives a name that the main wall has already to nothing else', () => {
    const mark = { id: 'e1', kind: 'centre', x: 400, y: 1300 };
    const after = there({ do: 'put', path: 'evidence.e1', value: mark });
    expect(after.evidence!.find((e) => e.id === 'e1')).toEqual(sewingCorner.evidence![0]);
    expect(after.evidence!.at(-1)).toMatchObject({ x: 400, wall: 'left' });
    expect(new Set(after.evidence!.map((e) => e.id)).size).toBe(after.evidence!.length);
  });

  it('changes that wall’s build and width, not the other’s; a number of a thing where it stands', () => {
    const kind = there({ do: 'put', path: 'room.wall.build.kind', value: 'masonry' });
    expect([kind.room.wall.build.kind, kind.room.sideWalls!.left!.build!.kind]).toEqual(['timber-stud', 'masonry']);
    expect(there({ do: 'put', path: 'room.wall.width', value: 1900 }).room.sideWalls!.left!.width).toBe(1900);
    expect(there({ do: 'put', path: 'room.wall.height', value: 2500 }).room.wall.height).toBe(2500);
    expect(
      there({ do: 'put', path: 'room.objects.o3.left', value: 1300 }).room.objects!.find((o) => o.id === 'o3')!.left,
    ).toBe(1300);
  });

  it('counts what was drilled there among all: its first is not the room’s first', () => {
    const drilled = [
      { hole: 'h1', x: 796, y: 1347, result: 'good' as const },
      { hole: 's1', wall: 'left' as const, x: 798, y: 1347, result: 'good' as const },
    ];
    const begun: Job = { ...sewingCorner, drilled };
    const next = { hole: 's2', x: 798, y: 1227, result: 'good' };
    // the second of that wall is the third of the room
    const after = there({ do: 'put', path: 'drilled.1', value: next }, begun);
    expect(after.drilled!.map((d) => [d.hole, d.wall])).toEqual([
      ['h1', undefined],
      ['s1', 'left'],
      ['s2', 'left'],
    ]);
    expect(there({ do: 'drop', path: 'drilled.0' }, begun).drilled!.map((d) => d.hole)).toEqual(['h1']);
    const both = there(
      {
        do: 'all',
        commands: [
          { do: 'put', path: 'drilled.1', value: next },
          { do: 'put', path: 'drilled.2', value: { ...next, hole: 's3' } },
        ],
      },
      begun,
    );
    expect(both.drilled!.map((d) => d.hole)).toEqual(['h1', 's1', 's2', 's3']);
  });
});

import type { Evidence, Job } from '@steddo/contract';
import { plan } from '../src';
import { oddJoints } from '../src/wall/markedJoints';
import { masonryCourses } from '../src/wall/masonryCourses';
import { unitHere } from '../src/wall/unitAt';
import { mark, testJob } from './jobs';

const joint = (x: number, y: number, id = `j${x}${y}`): Evidence => ({ id, kind: 'joint', x, y });
const wall = { width: 2600, height: 2400 };

describe('masonry set out from a measured joint', () => {
  // common practice: a 440 x 215 block with 10 mm joints coordinates at 450 x 225
  const block = {
    kind: 'masonry',
    masonry: 'block',
    unit: { width: 440, height: 215, joint: 10 },
  } as const;
  it('courses every 225, joints every 450, half over half', () => {
    const courses = masonryCourses({ ...wall, build: block }, [joint(1500, 1125)])!;
    const above = courses.find((c) => Math.abs(c.bottom - 1130) < 1e-9)!;
    expect(above.top - above.bottom).toBeCloseTo(215, 9);
    expect(above.joints).toEqual([150, 600, 1050, 1500, 1950, 2400].map((x) => expect.closeTo(x, 9)));
    const below = courses.find((c) => Math.abs(c.top - 1120) < 1e-9)!;
    expect(below.joints).toEqual([375, 825, 1275, 1725, 2175].map((x) => expect.closeTo(x, 9)));
    courses.slice(1, -2).forEach((c, i) => expect(courses[i + 2]!.bottom - c.bottom).toBeCloseTo(225, 6));
  });
  // common practice: a metric brick of 215 x 65 lays four courses to 300 mm
  it('brick: four courses to 300 mm', () => {
    const brick = { kind: 'masonry', masonry: 'brick', unit: { width: 215, height: 65 } } as const;
    const courses = masonryCourses({ ...wall, build: brick }, [joint(1000, 600)])!;
    const from = courses.findIndex((c) => Math.abs(c.bottom - 605) < 1e-9);
    expect(courses[from + 4]!.bottom - courses[from]!.bottom).toBeCloseTo(300, 9);
  });
  it('several marks, in other courses too: the mean of them', () => {
    // one mark 2 mm to the right and 4 up, two courses higher; one course higher the bond is shifted by half
    const one = masonryCourses({ ...wall, build: block }, [joint(1500, 1125)])!;
    const two = masonryCourses({ ...wall, build: block }, [
      joint(1500, 1125),
      joint(1502, 1125 + 450 + 4),
      joint(1498 + 225, 1125 + 225 - 4),
    ])!;
    const at = (cs: typeof one) => cs.find((c) => c.bottom > 1100 && c.bottom < 1300)!;
    expect(at(two).joints[3]!).toBeCloseTo(at(one).joints[3]!, 6);
    expect(at(two).bottom).toBeCloseTo(at(one).bottom, 6);
  });
  it('a mark that the others leave no place for is left out and named; of two the later one counts', () => {
    const at = (...marks: Evidence[]) => masonryCourses({ ...wall, build: block }, marks)!;
    const bottom = (cs: ReturnType<typeof at>) => cs.find((c) => c.bottom > 1100 && c.bottom < 1300)!.bottom;
    const marks = [joint(1500, 1125), joint(1502, 1575), joint(1500, 1125 + 60)].map((e, i) => ({ ...e, id: `m${i}` }));
    expect(bottom(at(...marks))).toBeCloseTo(bottom(at(...marks.slice(0, 2))), 9);
    expect(oddJoints({ ...wall, build: block }, marks)).toEqual(['m2']);
    expect(bottom(at(marks[0]!, marks[2]!))).toBeCloseTo(bottom(at(marks[2]!)), 9);
  });
  it('joint above joint: the uprights of every course stand in line', () => {
    const stacked = { ...block, unit: { ...block.unit, bond: 'stack' } } as const;
    const courses = masonryCourses({ ...wall, build: stacked }, [joint(1500, 1125)])!;
    for (const c of courses) expect(c.joints).toEqual(courses[0]!.joints);
    expect(courses[0]!.joints).toContainEqual(expect.closeTo(1500, 9));
  });
  it('has one number for a course, wherever its part of the wall begins: that of the drawing is the one at the ladder', () => {
    const raised = { id: 'z', left: 0, right: 2600, bottom: 900, top: 2400, build: block };
    const build = { kind: 'timber-stud' } as const;
    for (const y of [1125, 1060, 1003]) {
      const evidence = [joint(1500, y)];
      const two = { ...wall, build, zones: [raised] };
      const job = testJob({ evidence });
      const room = { ...job.room, wall: two };
      for (const c of masonryCourses(two, evidence)!)
        expect(unitHere({ ...job, room }, 1600, (c.bottom + c.top) / 2)!.course).toBe(c.number);
      // of a wall that is all of it, the lowest that shows is the first
      expect(masonryCourses({ ...wall, build: block }, evidence)![0]!.number).toBe(1);
    }
  });
  it('not without a unit or a mark', () => {
    expect(masonryCourses({ ...wall, build: { kind: 'masonry', masonry: 'concrete' } }, [joint(1, 2)])).toBeUndefined();
    expect(masonryCourses({ ...wall, build: block }, [mark('centre', 1000)])).toBeUndefined();
  });
});

describe('backing and noggings', () => {
  const shown = (evidence: Evidence[], change: Partial<Job> = {}) => plan(testJob({ evidence, ...change }));
  const edge = (side: 'left' | 'right' | 'top' | 'bottom', x: number, y: number, id: string): Evidence => ({
    id,
    kind: 'backing-edge',
    side,
    x,
    y,
  });
  it('backing: a rectangle from its edges, each the mean of its marks', () => {
    const marks = [
      edge('left', 1500, 1400, 'a'),
      edge('left', 1504, 1200, 'b'),
      edge('right', 2110, 1400, 'c'),
      edge('bottom', 1700, 1010, 'd'),
    ];
    expect(shown(marks).backing).toEqual({
      left: 1502,
      right: 2110,
      bottom: 1010,
      evidence: ['a', 'b', 'c', 'd'],
    });
    expect(shown([mark('centre', 1000)]).backing).toBeUndefined();
  });
  it('a nogging reaches from stud to stud; marks close in height are one, another bay is another', () => {
    const studs = testJob().evidence!;
    const marks = [
      mark('nogging', 1900, 'n1', 1200),
      mark('nogging', 2100, 'n2', 1210),
      mark('nogging', 2000, 'n3', 1500),
      mark('nogging', 2300, 'n4', 1205),
    ];
    const found = shown([...studs, ...marks]).noggings!;
    expect(found.map((n) => [n.y, n.evidence])).toEqual([
      [1205, ['n1', 'n2']],
      [1205, ['n4']],
      [1500, ['n3']],
    ]);
    expect(found[0]!.left).toBeCloseTo(1819, 0);
    expect(found[0]!.right).toBeCloseTo(2181, 0);
    expect(found[1]!.right).toBe(4000);
  });
});

import type { Build, Evidence, Job, Mount } from '@steddo/contract';
import { inferStuds, readingsOf, type StudsFound } from '../src';

/** A plain job for tests: every number round, every section there. Change what the test is about. */
export const IN = 25.4;

export const testMount: Mount = {
  id: 'test-mount',
  name: 'Test mount',
  type: 'tilt',
  maxMass: 40,
  screenSize: { min: 800, max: 1700 },
  pattern: { min: { width: 100, height: 100 }, max: { width: 400, height: 400 } },
  walls: {
    'timber-stud': {
      maxBoard: 16,
      fixing: {
        kind: 'lag',
        diameter: 7.94,
        length: 64,
        threadLength: 45,
        count: 4,
        pilot: 5.5,
        washer: 2,
        head: 13,
      },
    },
  },
  studs: { count: 2, minSpacing: 380, maxSpacing: 620 },
  plate: {
    width: 500,
    height: 200,
    thickness: 3,
    slots: [-200, 200].flatMap((x) => [40, 160].map((y) => ({ x, y, length: 60, height: 10 }))),
  },
  hook: { above: 190, spacing: 400 },
  patternAboveHook: [-10],
  slide: 60,
  depth: { folded: 60 },
};

export function testJob(change: Partial<Job> = {}): Job {
  return {
    format: 'steddo-job',
    version: 1,
    title: 'Test',
    units: 'metric',
    screen: {
      diagonal: 1270,
      width: 1118,
      height: 640,
      thickness: 60,
      mass: 12,
      pattern: { width: 200, height: 200 },
      patternCentre: { right: 0, up: -40 },
    },
    mount: testMount,
    room: {
      wall: {
        width: 4000,
        height: 2500,
        build: { kind: 'timber-stud', board: 12.7, studWidth: 38, timber: 'spruce-pine-fir' },
      },
      viewers: [{ id: 'v1', eye: 1100, distance: 2700 }],
      objects: [
        {
          id: 'o1',
          kind: 'furniture',
          name: 'chest',
          left: 1500,
          right: 2500,
          bottom: 0,
          top: 500,
        },
      ],
    },
    aim: { height: 'eyes', centre: { on: 'wall' }, ceilingGap: 50, liftOn: 25 },
    evidence: [1800, 2200].flatMap((x, s) => [
      { id: `l${s}`, kind: 'edge-left' as const, x: x - 19, y: 1400 },
      { id: `r${s}`, kind: 'edge-right' as const, x: x + 19, y: 1400 },
    ]),
    ...change,
  };
}

/** What marks show on a stud wall of 4 m; nothing is known of its spacing unless the build says so. */
export const studsIn = (job: Job): StudsFound => inferStuds(...readingsOf(job));

export function marksShow(evidence: Evidence[], build: Partial<Build> = {}, change: Partial<Job> = {}): StudsFound {
  const { room } = testJob();
  const wall = { ...room.wall, build: { kind: 'timber-stud' as const, studWidth: 38.1, ...build } };
  return studsIn(testJob({ ...change, evidence, room: { ...room, wall } }));
}

export const mark = (
  kind: 'edge-left' | 'edge-right' | 'centre' | 'fastener' | 'nogging',
  x: number,
  id = `${kind}${x}`,
  y = 1400,
): Evidence => ({ id, kind, x, y });
export const probe = (x: number, found: 'wood' | 'hollow', id = `p${x}`, y = 1400): Evidence => ({
  id,
  kind: 'probe',
  x,
  y,
  found,
});

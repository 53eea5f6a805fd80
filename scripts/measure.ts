import { spawn } from 'node:child_process';
import { readFile } from 'node:fs/promises';
import { createServer } from 'node:http';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Browser } from '@playwright/test';
import { catalogueFromRows, catalogueRows } from '@steddo/contract';
import {
  applyCommand,
  comparePlaces,
  coverage,
  evaluate,
  fitContext,
  fixingPolicies,
  inferStuds,
  gridOver,
  nearestPose,
  nextLooks,
  offeredHeights,
  placeOf,
  plan,
  newMemory,
  rankMounts,
  readingsOf,
  reachModelOf,
  estimateUtilisation,
  schemeRule,
  seatOff,
  seatsOf,
  stackScrews,
  withKit,
  toleranceOf,
} from '@steddo/core';
import { aboveScene } from '@steddo/drawing';
import { toSheet, toTemplate } from '@steddo/export';
import { atticSnug, breakfastBar, demoCatalogue, guestRoom } from '@steddo/samples';
import { paperFonts } from './paperFonts';

/** The measuring half of npm run bench: times of the core and of the first page, as ratios in one run. */
const median = (times: number[]): number => [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)] ?? 0;

function timed(work: () => unknown, rounds = 200): number {
  for (let i = 0; i < rounds / 4; i++) work();
  return median(
    Array.from({ length: rounds }, () => {
      const start = performance.now();
      work();
      return performance.now() - start;
    }),
  );
}

/** The same of what comes later. */
async function timedLater(work: () => Promise<unknown>, rounds = 9): Promise<number> {
  await work();
  const times: number[] = [];
  for (let i = 0; i < rounds; i++) {
    const start = performance.now();
    await work();
    times.push(performance.now() - start);
  }
  return median(times);
}

const catalogue = {
  mounts: Array.from({ length: 500 }, (_, i) => ({
    ...demoCatalogue.mounts[i % 30]!,
    id: `m${i}`,
  })),
};
const many = Array.from({ length: 20_000 }, (_, i) => ({
  ...demoCatalogue.mounts[i % 30]!,
  id: `m${i}`,
}));
const table = catalogueRows(many);
/** What one screen or worker keeps from one plan to the next. */
const memory = newMemory();
const guestStuds = inferStuds(...readingsOf(guestRoom));
function ranked(): unknown {
  const context = fitContext(guestRoom, memory.mounts);
  return many.map((m) => placeOf(m, guestRoom, context)).sort(comparePlaces);
}
const snugPlan = plan(atticSnug);
const snug = reachModelOf(atticSnug, snugPlan)!;
const snugFloor = gridOver(0, atticSnug.room.wall.width, 3300, 50);
let dragged = 0;
/** What a finger on the arm asks for at every move: the pose, each seat's angle, the drawing from above. */
function dragArm(): unknown {
  dragged = (dragged + 7) % 300;
  const at = nearestPose(snug, { x: 2000 + dragged, z: 100 + dragged / 2, yaw: 15 });
  const offs = seatsOf(atticSnug).map((s) => seatOff(snug, at, s));
  return [offs, aboveScene(atticSnug, snugPlan, { model: snug, at, angles: true })];
}
/** Five metres of wall with so many edges on it; another wall each time, so that nothing is remembered. */
let wallNumber = 0;
const longWall = (readings: number) => ({
  ...guestRoom,
  room: {
    ...guestRoom.room,
    wall: { ...guestRoom.room.wall, width: 5000 + (wallNumber++ % 7) / 10 },
  },
  evidence: Array.from({ length: readings }, (_, i) => ({
    id: `b${i}`,
    kind: i % 2 === 0 ? ('edge-left' as const) : ('edge-right' as const),
    x: 300 + 406.4 * Math.floor((i % 24) / 2) + (i % 2) * 38 + (i % 5) - 2,
    y: 1400,
  })),
});
/**
 * The same sums in the direct form: for every place every pitch up to 800, and for every place every reading.
 * What the recursion would be without taps, block sums and readings added only where they reach.
 */
function directForm(readings: number): number {
  const { evidence } = longWall(readings);
  const size = 6601;
  const [logL, value] = [new Float64Array(size), new Float64Array(size)];
  for (let pass = 0; pass < 2; pass++)
    for (let n = 0; n < size; n++) {
      let log = 0;
      for (const e of evidence) log += Math.log1p(770 * Math.exp(-0.5 * ((e.x + 800 - n) / 4) ** 2));
      logL[n] = Math.exp(Math.min(log, 20) - 20);
      let sum = 1 / 421;
      for (let p = 138; p <= 800 && p <= n; p++) sum += 0.0015 * value[n - p]! * logL[n - p]!;
      value[n] = sum;
    }
  return value[size - 1]!;
}
const sure = guestRoom.evidence!.slice(0, 1);
const halfKnown = { ...guestRoom, evidence: [sure[0]!, guestRoom.evidence![5]!] };
const halfPlan = plan(halfKnown);
const halfStuds = inferStuds(...readingsOf(halfKnown));
const infer24 = timed(() => inferStuds(...readingsOf(longWall(24))), 20);
const infer240 = timed(() => inferStuds(...readingsOf(longWall(240))), 12);
const direct24 = timed(() => directForm(24), 8);
const guestPlan = plan(guestRoom);
const hook = guestPlan.marks!.find((m) => m.id === 'hook')!.working;
const one = timed(() => evaluate(hook), 2000);
const paper = { paper: 'a4', fonts: paperFonts(), at: new Date(0) } as const;
const whole = { job: guestRoom, plan: guestPlan };
const rows: [string, number, string][] = [
  [
    'plan of a demo room, 500 mounts',
    timed(() => plan(guestRoom, { mounts: catalogue.mounts, memory })),
    'wanted under 50 ms',
  ],
  [
    'drag re-plan',
    timed(() => plan(applyCommand(guestRoom, { do: 'put', path: 'choices.centreY', value: 1500 }).job, { memory })),
    'wanted under 8 ms',
  ],
  ['ranking 20,000 mounts, as the worker does', timed(() => ranked(), 9), 'wanted under 250 ms'],
  [
    'the same with every reason of every mount',
    timed(() => rankMounts(many, guestRoom, guestStuds, memory.mounts), 5),
    'not on any screen',
  ],
  ['reading 20,000 mounts from rows of a table', timed(() => catalogueFromRows(table), 5), 'in pieces, in the worker'],
  ['screws of one bag', timed(() => stackScrews(guestRoom.screen, guestRoom.mount!, undefined)), 'part of the plan'],
  [
    'plan of a room with an arm, set moved up and down',
    timed(() => plan(applyCommand(atticSnug, { do: 'put', path: 'choices.centreY', value: 1150 }).job, { memory })),
    'wanted under 8 ms',
  ],
  [
    'the same, moved sideways: where the arm goes is worked out anew',
    timed(
      () =>
        plan(applyCommand(atticSnug, { do: 'put', path: 'choices.centreX', value: 1900 + ((dragged += 1) % 90) }).job, {
          memory,
        }),
      60,
    ),
    'wanted under a frame, 16 ms',
  ],
  ['dragging the arm: pose, angles, drawing', timed(dragArm, 400), 'wanted under a frame, 16 ms'],
  [
    'coverage of the floor, 50 mm',
    timed(() => coverage(snug.reach, snugFloor), 12),
    'wanted under 300 ms, in a worker',
  ],
  ['how sure a job is, 20,000 draws', timed(() => toleranceOf(guestRoom, guestPlan, 1), 3), 'wanted under 500 ms'],
  ['studs on 5 m of wall from 24 readings', infer24, 'wanted under 20 ms'],
  ['the same from 240 readings', infer240, `${(infer240 / infer24).toFixed(2)} x that of 24`],
  ['the same in the direct form, 24 readings', direct24, `${(direct24 / infer24).toFixed(1)} x; wanted 20 x`],
  [
    'where to look next',
    timed(() => nextLooks(halfKnown, halfPlan, [], halfStuds), 12),
    'wanted under 300 ms, in a worker',
  ],
  [
    'plan of an arm with its holes and loads, set moved up and down',
    timed(
      () =>
        plan(
          applyCommand(breakfastBar, { do: 'put', path: 'choices.centreY', value: 1350 + ((dragged += 1) % 60) }).job,
          { memory },
        ),
      40,
    ),
    'wanted under a frame, 16 ms',
  ],
  [
    'three schools of fastening side by side',
    timed(() => fixingPolicies(withKit(guestRoom, demoCatalogue), memory), 20),
    'three plans; when the fold is open',
  ],
  [
    'the whole scheme search for one mount of the list',
    timed(() => schemeRule(guestRoom.mount!, withKit(guestRoom, demoCatalogue), guestStuds, memory.mounts), 20),
    'for the first twenty',
  ],
  [
    'what the fixings of 20,000 mounts hold, in closed form',
    timed(
      () =>
        many.reduce(
          (n, m) => n + (estimateUtilisation(m, guestRoom.screen, guestRoom.room.wall, 0, false)?.utilisation ?? 0),
          0,
        ),
      5,
    ),
    'part of the ranking',
  ],
  ['the sheet of a room, PDF', await timedLater(() => toSheet(whole, paper)), 'wanted under 2000 ms, in the worker'],
  ['the template of a room, PDF', await timedLater(() => toTemplate(whole, paper)), 'in the worker'],
  ['heights for the customer', timed(() => offeredHeights(guestRoom, memory), 40), 'once, when the page opens'],
];
for (const [name, ms, wanted] of rows)
  process.stdout.write(`${name}: ${ms.toFixed(2)} ms (${wanted}), ${Math.round(ms / one)} x evaluating one working\n`);

async function usable(browser: Browser, url: string): Promise<number> {
  const times: number[] = [];
  for (let i = 0; i < 5; i++) {
    const page = await (await browser.newContext()).newPage();
    const start = performance.now();
    await page.goto(url);
    await page.getByTestId('primary-action').waitFor();
    times.push(performance.now() - start);
    await page.context().close();
  }
  return median(times);
}

const bare = createServer((request, reply) => {
  const file = request.url === '/' ? '/index.html' : (request.url ?? '/');
  readFile(join(process.env.STEDDO_BARE ?? '', file)).then(
    (body) => reply.setHeader('content-type', file.endsWith('.js') ? 'text/javascript' : 'text/html').end(body),
    () => reply.writeHead(404).end(),
  );
});
await new Promise<void>((resolve) => bare.listen(0, '127.0.0.1', resolve));
const address = bare.address();
const barePort = typeof address === 'object' && address ? address.port : 0;
const env = {
  ...process.env,
  STEDDO_PORT: '4871',
  STEDDO_SEED: 'demo',
  STEDDO_LOG: 'silent',
  STEDDO_DB: join(mkdtempSync(join(tmpdir(), 'steddo-bench-')), 'b.db'),
};
const server = spawn(process.execPath, ['apps/server/dist/main.mjs'], {
  env,
  stdio: ['ignore', 'pipe', 'inherit'],
});
await new Promise((resolve) => server.stdout.once('data', resolve));
const browser = await chromium.launch({
  executablePath: process.env.STEDDO_CHROMIUM,
  args: ['--headless', '--no-sandbox', '--disable-gpu', '--disable-background-networking'],
});
const times = {
  app: await usable(browser, 'http://localhost:4871/room/guest-room/height'),
  bare: await usable(browser, `http://localhost:${barePort}/`),
};
await browser.close();
server.kill();
bare.close();
process.stdout.write(
  `time to usable: app ${times.app.toFixed(0)} ms, bare page ${times.bare.toFixed(0)} ms, ratio ${(times.app / times.bare).toFixed(2)}\n`,
);

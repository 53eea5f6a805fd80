import type { Job } from '@steddo/contract';
import type { HiddenWall, PracticeLog, PracticeScore, PracticeWalls } from '@steddo/core';
import { localStore } from '../../data/shared';
import { withScore, type BestScore, type PracticeTool } from './scores';

/** A practice wall in hand: kept on the device at every step, so that nothing is lost. */
export interface Practice {
  seed: number;
  room: string;
  tools: PracticeTool[];
  walls: PracticeWalls;
  job: Job;
  log: PracticeLog;
  /** Seed of the instruments' errors; another one for each time the wall is taken up. */
  errors: number;
  score?: PracticeScore;
}

const NOW = 'practice';
const BEST = 'practice-best';

/** Where the device cannot keep anything a practice wall lasts as long as the tab. */
const unkept = () => undefined;

export const keepPractice = (practice: Practice | undefined): Promise<void> =>
  (practice ? localStore.keep(NOW, practice) : localStore.forget(NOW)).catch(unkept);

/** One that was kept before a room could have two walls has its only one by another name. */
export async function keptPractice(): Promise<Practice | undefined> {
  const kept = (await localStore.kept(NOW).catch(unkept)) as (Practice & { wall?: HiddenWall }) | undefined;
  if (!kept?.wall) return kept;
  const { wall, ...rest } = kept;
  return { ...rest, walls: { main: wall } };
}

export const bestScores = async (): Promise<BestScore[]> =>
  ((await localStore.kept(BEST).catch(unkept)) as BestScore[] | undefined) ?? [];

/** Keeps a score if it is the best of its wall, room and instruments; gives all that are kept, best first. */
export async function keepScore(score: BestScore): Promise<BestScore[]> {
  const all = withScore(await bestScores(), score);
  await localStore.keep(BEST, all).catch(unkept);
  return all;
}

export type { BestScore, PracticeTool } from './scores';

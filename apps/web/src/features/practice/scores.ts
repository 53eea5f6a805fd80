export type PracticeTool = 'edge' | 'centre' | 'magnet' | 'live' | 'drill' | 'camera';

/** The best that was scored on a wall with these instruments. */
export interface BestScore {
  seed: number;
  room: string;
  title: string;
  tools: PracticeTool[];
  points: number;
  at: string;
}

/** So many are kept. */
const KEPT = 20;

/** One score for each wall with its instruments, the better one; the best twenty. */
export function withScore(scores: readonly BestScore[], score: BestScore): BestScore[] {
  const same = (s: BestScore) =>
    s.seed === score.seed && s.room === score.room && [...s.tools].sort().join() === [...score.tools].sort().join();
  const before = scores.find(same);
  const kept = before && before.points >= score.points ? before : score;
  return [...scores.filter((s) => !same(s)), kept].sort((a, b) => b.points - a.points).slice(0, KEPT);
}

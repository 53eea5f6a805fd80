import type { Job } from '@steddo/contract';
import { applyCommand, type Command } from './command';

/** Undo and redo as lists of inverse commands; each is applied as a new edit. */
export interface History {
  undo: Command[];
  redo: Command[];
}

export const EMPTY_HISTORY: History = { undo: [], redo: [] };

/** The last edits that can be taken back. */
export const HISTORY_LIMIT = 100;

export interface Step {
  job: Job;
  history: History;
  touched: string[];
}

/** Does a command and remembers how to take it back; what was undone before is forgotten. */
export function edit(job: Job, history: History, command: Command): Step {
  const applied = applyCommand(job, command);
  const undo = [...history.undo, applied.inverse].slice(-HISTORY_LIMIT);
  return { job: applied.job, history: { undo, redo: [] }, touched: applied.touched };
}

/** Takes the last edit back, or does again what was taken back. Undefined when there is nothing. */
export function stepHistory(job: Job, history: History, way: 'undo' | 'redo'): Step | undefined {
  const command = history[way].at(-1);
  if (!command) return undefined;
  const applied = applyCommand(job, command);
  const rest = history[way].slice(0, -1);
  const other = way === 'undo' ? 'redo' : 'undo';
  const grown = [...history[other], applied.inverse].slice(-HISTORY_LIMIT);
  const next = way === 'undo' ? { undo: rest, redo: grown } : { redo: rest, undo: grown };
  return { job: applied.job, history: next, touched: applied.touched };
}

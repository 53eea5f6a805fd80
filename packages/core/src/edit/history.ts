import type { Job } from '@steddo/contract';
import { changesBetween } from './changesBetween';
import { applyCommand, type Command } from './command';
import { applyChanges, inverted, sameValue, valueAt, type Change, type FieldPath } from './jobTree';

/** Undo and redo as lists of what edits changed; each is taken back, or done again, as a new edit. */
export interface History {
  undo: Change[][];
  redo: Change[][];
}

export const EMPTY_HISTORY: History = { undo: [], redo: [] };

/** The last edits that can be taken back. */
export const HISTORY_LIMIT = 100;

export interface Step {
  job: Job;
  history: History;
  changes: Change[];
  /** What somebody else has changed since: then nothing is taken back, and the step is off the list. */
  since?: FieldPath[];
}

/** Does a command and remembers how to take it back; what was undone before is forgotten. */
export function edit(job: Job, history: History, command: Command): Step {
  const next = applyCommand(job, command).job;
  const changes = changesBetween(job, next);
  if (changes.length === 0) return { job, history, changes };
  return { job: next, history: { undo: [...history.undo, changes].slice(-HISTORY_LIMIT), redo: [] }, changes };
}

/**
 * Takes the last edit back, or does again what was taken back; undefined when there is nothing. What that edit
 * left behind must still be there: a value that another device has changed since is never taken back.
 */
export function stepHistory(job: Job, history: History, way: 'undo' | 'redo'): Step | undefined {
  const last = history[way].at(-1);
  if (!last) return undefined;
  const rest = history[way].slice(0, -1);
  const changes = way === 'undo' ? inverted(last) : last;
  const since = changes.filter((c) => !sameValue(valueAt(job, c.path), c.before)).map((c) => c.path);
  if (since.length > 0) return { job, history: { ...history, [way]: rest }, changes: [], since };
  const other = way === 'undo' ? 'redo' : 'undo';
  const grown = [...history[other], last].slice(-HISTORY_LIMIT);
  const next = way === 'undo' ? { undo: rest, redo: grown } : { redo: rest, undo: grown };
  return { job: applyChanges(job, changes), history: next, changes };
}

/** The history that earlier versions kept as commands, as changes. */
export function historyOfCommands(job: Job, kept: { undo: Command[]; redo: Command[] }): History {
  const walk = (commands: readonly Command[], back: boolean): Change[][] => {
    let now = job;
    const steps: Change[][] = [];
    for (const command of commands.toReversed()) {
      const next = applyCommand(now, command).job;
      steps.unshift(back ? changesBetween(next, now) : changesBetween(now, next));
      now = next;
    }
    return steps;
  };
  return { undo: walk(kept.undo, true), redo: walk(kept.redo, false) };
}

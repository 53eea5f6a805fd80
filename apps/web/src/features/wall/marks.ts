import type { Evidence, Job, Scan } from '@steddo/contract';
import type { Command } from '@steddo/core';

/** What a hand can log at the wall, by what it is called there. */
export type MarkKind =
  | 'edge-left'
  | 'edge-right'
  | 'centre'
  | 'wood'
  | 'hollow'
  | 'fastener'
  | 'outlet-left'
  | 'outlet-right'
  | 'nogging'
  | 'joint'
  | 'backing-left'
  | 'backing-right'
  | 'backing-top'
  | 'backing-bottom'
  | 'metal'
  | 'live';

export const markName: Record<MarkKind, string> = {
  'edge-left': 'left edge',
  'edge-right': 'right edge',
  centre: 'centre',
  wood: 'probe: wood',
  hollow: 'probe: hollow',
  fastener: 'board screw',
  'outlet-left': 'box, stud on its left',
  'outlet-right': 'box, stud on its right',
  nogging: 'nogging',
  joint: 'mortar joint',
  'backing-left': "backing's left edge",
  'backing-right': "backing's right edge",
  'backing-top': "backing's top edge",
  'backing-bottom': "backing's bottom edge",
  metal: 'probe: metal',
  live: 'live wire',
};

/** What a mark is as evidence of the job. */
export function markOf(kind: MarkKind, id: string, x: number, y: number): Evidence {
  switch (kind) {
    case 'wood':
    case 'hollow':
    case 'metal':
      return { id, kind: 'probe', x, y, found: kind };
    case 'outlet-left':
      return { id, kind: 'outlet-side', x, y, side: 'left' };
    case 'outlet-right':
      return { id, kind: 'outlet-side', x, y, side: 'right' };
    case 'backing-left':
    case 'backing-right':
    case 'backing-top':
    case 'backing-bottom':
      return { id, kind: 'backing-edge', x, y, side: kind.slice('backing-'.length) as 'left' };
    default:
      return { id, kind, x, y };
  }
}

/** The name of a mark that is in the job. */
export function evidenceName(e: Evidence): string {
  if (e.kind === 'probe') return `probe: ${e.found}`;
  if (e.kind === 'outlet-side') return markName[`outlet-${e.side}`];
  if (e.kind === 'backing-edge') return markName[`backing-${e.side}`];
  return markName[e.kind];
}

/** `e7` after `e6`; one number for marks, scans and looks, whose ids must not meet. */
export function nextNumber(job: Job): number {
  const all = [...(job.evidence ?? []), ...(job.scans ?? []), ...(job.looks ?? [])];
  return 1 + Math.max(0, ...all.map((e) => Number(/^[ekp](\d+)$/.exec(e.id)?.[1] ?? 0)));
}

/** Puts a mark where it was found, at this moment. */
export function logMark(job: Job, kind: MarkKind, x: number, y: number): Command {
  const id = `e${nextNumber(job)}`;
  const at = new Date().toISOString();
  return { do: 'put', path: `evidence.${id}`, value: { ...markOf(kind, id, round(x), round(y)), at } };
}

/** Says that this stretch was scanned, so that silence there counts. */
export function logScan(job: Job, scan: Omit<Scan, 'id' | 'at'>): Command {
  const id = `p${nextNumber(job)}`;
  const at = new Date().toISOString();
  return { do: 'put', path: `scans.${id}`, value: { ...scan, id, at } };
}

/** A hand does not mark finer than this, mm. */
const round = (mm: number): number => Math.round(mm * 100) / 100;

import type { Evidence, Job, Scan } from '@steddo/contract';
import type { Command } from '@steddo/core';
import type { MarkKind } from '@steddo/text';

/** What a mark is as evidence of the job. */
export function markOf(kind: MarkKind, id: string, x: number, y: number): Evidence {
  switch (kind) {
    case 'wood':
    case 'hollow':
    case 'metal':
    case 'backing':
      return { id, kind: 'probe', x, y, found: kind };
    case 'outlet-left':
      return { id, kind: 'outlet-side', x, y, side: 'left' };
    case 'outlet-right':
      return { id, kind: 'outlet-side', x, y, side: 'right' };
    case 'joint-bed':
      return { id, kind: 'joint', x, y, runs: 'horizontal' };
    case 'joint-upright':
      return { id, kind: 'joint', x, y, runs: 'vertical' };
    case 'face-left':
      return { id, kind: 'face', x, y, side: 'left' };
    case 'face-right':
      return { id, kind: 'face', x, y, side: 'right' };
    case 'old-wood':
      return { id, kind: 'old-hole', x, y, found: 'wood' };
    case 'old-hollow':
      return { id, kind: 'old-hole', x, y, found: 'hollow' };
    case 'backing-left':
    case 'backing-right':
    case 'backing-top':
    case 'backing-bottom':
      return { id, kind: 'backing-edge', x, y, side: kind.slice('backing-'.length) as 'left' };
    default:
      return { id, kind, x, y };
  }
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

import type { Evidence, Job } from '@steddo/contract';

/** Marks that somebody makes who looks for studs. */
const SOUGHT: ReadonlySet<Evidence['kind']> = new Set<Evidence['kind']>([
  ...([
    'edge-left',
    'edge-right',
    'centre',
    'fastener',
    'probe',
    'outlet-side',
    'face',
    'somewhere',
    'old-hole',
  ] as const),
]);

/** Whether anybody has scanned or probed the main wall for studs: before that nothing is wrong, only to do. */
export const isSought = ({ evidence = [], scans = [], drilled = [] }: Job): boolean => {
  const onMain = (e: { wall?: string | undefined }) => (e.wall ?? 'main') === 'main';
  return (
    evidence.some((e) => onMain(e) && SOUGHT.has(e.kind)) ||
    scans.some((s) => onMain(s) && s.instrument !== 'live') ||
    drilled.some(onMain)
  );
};

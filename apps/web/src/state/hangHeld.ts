import type { Finding, Plan } from '@steddo/contract';

/** What keeps the set off the wall: a stop that stands, else holes that are not drilled. */
export type HangHeld = { by: 'stop'; finding: Finding } | { by: 'holes'; left: number };

export function hangHeld({ findings, holes = [] }: Plan): HangHeld | undefined {
  const finding = findings.find((f) => f.level === 'stop' && !f.acknowledged);
  if (finding) return { by: 'stop', finding };
  const left = holes.filter((h) => !h.done).length;
  return left > 0 || holes.length === 0 ? { by: 'holes', left } : undefined;
}

import type { Job } from '@steddo/contract';
import type { Command } from '@steddo/core';
import type { Field } from '../../pad/fields';

/** Two opposite edges of an entry: how the tape reads them, and within what. mm. */
export interface Span<Edge extends string> {
  path: `room.${'floor' | 'wall'}.${string}`;
  low: Edge;
  high: Edge;
  /** The entry in the job as it is when a value is taken; undefined where it has been taken out meanwhile. */
  now: (job: Job) => Record<Edge, number> | undefined;
  /** The entry as it is shown. */
  entry: Record<Edge, number>;
  place: Pick<Field, 'label' | 'min' | 'max'>;
  size: Pick<Field, 'label' | 'min' | 'max'>;
}

/** Where the lower edge is, and how far the other is from it: its size stays when its place is typed. */
export function spanFields<Edge extends string>({ path, low, high, now, entry, place, size }: Span<Edge>): Field[] {
  const put = (edge: Edge, value: number): Command => ({ do: 'put', path: `${path}.${edge}`, value });
  const at = (job: Job) => now(job) ?? entry;
  return [
    {
      ...place,
      path: `${path}.${low}`,
      kind: 'length',
      value: entry[low],
      command: (value, job) => ({
        do: 'all',
        commands: [put(low, value), put(high, value + at(job)[high] - at(job)[low])],
      }),
    },
    {
      ...size,
      path: `${path}.${size.label}`,
      kind: 'length',
      value: entry[high] - entry[low],
      command: (value, job) => put(high, at(job)[low] + value),
    },
  ];
}

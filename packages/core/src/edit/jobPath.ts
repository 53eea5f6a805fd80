import type { Job } from '@steddo/contract';

type Keys<T> = Extract<keyof NonNullable<T>, string>;
type Inside<T> = NonNullable<T> extends readonly unknown[] ? string : Keys<T> | `${Keys<T>}.${string}`;
type Path<K extends Keys<Job>> = NonNullable<Job[K]> extends object ? K | `${K}.${Inside<Job[K]>}` : K;

/** Where something stands in a job: its first two names are checked, what is below them is found by id or name. */
export type JobPath = { [K in Keys<Job>]: Path<K> }[Keys<Job>];

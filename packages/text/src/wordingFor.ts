import type { Job, Unit } from '@steddo/contract';
import { formatTape, fromKg, N_PER_POUND, tapeOf } from '@steddo/core';
import { itemName } from './names';
import { rounded, type Wording } from './wording';

const MM_PER_INCH = 25.4;

/** Wording for a job: imperial lengths as fractions of an inch, metric in millimetres. */
export function wordingFor(job: Pick<Job, 'units' | 'room'>): Wording {
  const tape = tapeOf(job.units);
  const length = (mm: number) => formatTape(mm, tape);
  const diagonal = (mm: number) => `${rounded(mm / MM_PER_INCH, 1)} in`;
  const mass = (kg: number) =>
    job.units === 'imperial' ? `${rounded(fromKg(kg, 'lb'), 1)} lb` : `${rounded(kg, 1)} kg`;
  const force = (n: number) =>
    job.units === 'imperial' ? `${rounded(n / N_PER_POUND, 0)} lb (${rounded(n, 0)} N)` : `${rounded(n, 0)} N`;
  const degrees = (deg: number) => `${rounded(deg, Math.abs(deg) < 1 ? 2 : 1)}°`;
  const thing = (id: string) => {
    const item = job.room.objects?.find((o) => o.id === id);
    if (item) return `the ${item.name ?? itemName(item.kind)}`;
    const standing = job.room.floor?.find((f) => f.id === id);
    if (standing) return `the ${standing.name ?? standing.kind.replaceAll('-', ' ')}`;
    const viewer = job.room.viewers?.find((v) => v.id === id);
    return viewer?.name ?? id;
  };
  const value = (v: number, unit: Unit) => {
    if (unit === 'mm') return length(v);
    if (unit === 'kg') return mass(v);
    if (unit === 'deg') return degrees(v);
    if (unit === 'N') return force(v);
    if (unit === 'Nmm') return `${rounded(v / 1000, 1)} Nm`;
    return `${rounded(v, 4)}${unit === 'N/mm' ? ' N/mm' : ''}`;
  };
  return { length, diagonal, mass, degrees, force, value, thing };
}

/** All that the wording of a job goes by: where this says the same, so does the wording. */
export const wordedBy = ({ units, room }: Pick<Job, 'units' | 'room'>) => ({
  units,
  things: [...(room.objects ?? []), ...(room.floor ?? [])].map(({ id, name, kind }) => ({ id, name, kind })),
  viewers: (room.viewers ?? []).map(({ id, name }) => ({ id, name })),
});

import type { Plan, Remedy, SchemePlan } from '@steddo/contract';
import { BESIDE_MM, type Disputed } from '../wall/disputedDrills';

/** The plan as it was before the drill, as it would be if the drill alone were believed, and that in wood alone. */
export interface Sides {
  held: Plan;
  after: Plan;
  wood: Plan;
}

/** Into the stud from its face by so much a poke tells, mm. Ours. */
const POKE_IN_MM = 6;

/**
 * What can be done where a drill and the marks disagree, in the trade's order: poke to the stud's edge, another stud,
 * the set shifted onto studs, anchors there; each with what it comes to.
 */
export function disputeRemedies({ drilled, faces }: Disputed, { held, after, wood: elsewhere }: Sides): Remedy[] {
  const nearer = drilled.x - faces.left < faces.right - drilled.x;
  const poke = nearer ? faces.right - POKE_IN_MM : faces.left + POKE_IN_MM;
  const schemes = [
    ...(elsewhere.scheme && elsewhere.scheme.kind !== 'none' ? [elsewhere.scheme] : []),
    ...(after.scheme && after.scheme.kind !== 'none' ? [after.scheme] : []),
    ...(after.scheme?.alternatives ?? []),
    ...(held.scheme?.alternatives ?? []),
  ];
  const off = (s: SchemePlan) => s.holes.every((h) => h.into !== 'stud' || Math.abs(h.x - drilled.x) > BESIDE_MM);
  const wood = schemes.find((s) => s.kind === 'lags-in-studs' && off(s));
  const board = schemes.find((s) => s.holes.some((h) => h.into === 'board'));
  const shift = elsewhere.remedies?.find((r) => r.kind === 'shift-set');
  return [
    { kind: 'poke-edge', by: poke, result: { verdict: 'caution' } },
    ...(wood ? [ofScheme('other-stud', wood)] : []),
    ...(shift ? [shift] : []),
    ...(board ? [ofScheme('anchors', board)] : []),
  ];
}

const ofScheme = (kind: Remedy['kind'], { key, worstUtilisation, stoppedBy, holes }: SchemePlan): Remedy => ({
  kind,
  by: key,
  result: {
    ...(worstUtilisation === undefined ? {} : { utilisation: worstUtilisation }),
    verdict: stoppedBy ? 'stop' : holes.some((h) => h.into === 'board') ? 'caution' : 'go',
  },
});

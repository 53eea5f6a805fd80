import type { Finding, Job } from '@steddo/contract';
import { finding } from '../primitives/findings';
import { armsOnBack } from './armsOnBack';

/** A plug is so wide about its port, mm. Ours. */
const PLUG_HALF_MM = 12;

/**
 * Ports that an arm of the mount would lie on, by the hole that is used: `above` is the pattern above the hook. A port
 * 100 left of the middle of a 200 pattern lies under the arm there; 150 left it is free.
 */
export function portFindings({ screen, mount, leads = [] }: Job, above: number | undefined): Finding[] {
  if (!mount || above === undefined) return [];
  const parts = armsOnBack(screen, mount, above);
  return leads.flatMap(({ port, what }) => {
    const under =
      port &&
      parts.some(
        (r) =>
          port.right > r.left - PLUG_HALF_MM &&
          port.right < r.right + PLUG_HALF_MM &&
          port.up > r.bottom - PLUG_HALF_MM &&
          port.up < r.top + PLUG_HALF_MM,
      );
    return under ? [finding('port-under-arm', 'caution', 'fit', { what })] : [];
  });
}

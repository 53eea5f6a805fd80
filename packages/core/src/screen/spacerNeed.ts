import type { Item, Mount, Screen, ScrewCheck } from '@steddo/contract';
import { leaf, minus } from '../primitives/working';
import { SAME_MM } from '../primitives/epsilons';

export type SpacerNeed = NonNullable<ScrewCheck['spacer']>;

/**
 * Whether spacers have to bring the set off its brackets, and by how much at least, mm: a curved or
 * stepped back asks for some; plugs that stick straight out, and things behind the set that stand
 * out from the wall, ask for what the folded mount does not give. Undefined: no spacer.
 * Plugs 55 deep on a mount 40 off the wall: at least 15.
 */
export function spacerNeed(screen: Screen, mount: Mount, behind: readonly Item[]): SpacerNeed | undefined {
  const asked: SpacerNeed[] = [];
  if (screen.back === 'stepped' || screen.back === 'curved') asked.push({ least: 0, why: 'back' });
  const folded = leaf('mount-folded', mount.depth.folded, 'mm', { path: 'mount.depth.folded' });
  if (screen.ports === 'back' && screen.plugDepth !== undefined) {
    const plug = leaf('plug-depth', screen.plugDepth, 'mm', { path: 'screen.plugDepth' });
    const working = minus('plugs-need', plug, folded);
    asked.push({ least: working.value, why: 'plugs', working });
  }
  for (const item of behind) {
    const out = leaf('object-out', item.out ?? 0, 'mm', { path: `room.objects.${item.id}.out` });
    const working = minus('behind-needs', out, folded);
    asked.push({ least: working.value, why: 'behind', working });
  }
  const real = asked.filter((n) => n.why === 'back' || n.least > SAME_MM);
  return real.sort((a, b) => b.least - a.least)[0];
}

import type { Finding, Mount, Screen } from '@steddo/contract';
import { finding } from '../primitives/findings';
import { patternClass } from './patternClass';
import { stackNeeds, type Stacking, INSERT_FREE_MM } from './stackScrews';
import { threadOf } from './threads';

/** What there is to say about the screws: what to measure, what to buy, what nobody sells. */
export function screwFindings(
  screen: Screen,
  mount: Mount,
  stacking: Stacking | undefined,
  wanted: string | undefined,
): Finding[] {
  const needs = stackNeeds(screen, mount);
  const found: Finding[] = [];
  if (needs.set.length > 0) found.push(finding('insert-to-measure', 'todo', 'set', { fields: needs.set }));
  if (needs.bag.length > 0) found.push(finding('bag-unknown', 'todo', 'set', { fields: needs.bag }));
  if (!stacking) return found;
  const { stacks, check } = stacking;
  if (check.spacer)
    found.push(
      finding('spacer-needed', 'info', 'set', {
        why: check.spacer.why,
        leastMm: check.spacer.least,
      }),
    );
  if (needs.bag.length === 0 && stacks.length === 0) found.push(noneFinding(check));
  if (wanted !== undefined && !stacks.some((s) => s.id === wanted))
    found.push(finding('stack-gone', 'caution', 'set', { stack: wanted }));
  return found;
}

function noneFinding({ buy, insert }: Stacking['check']): Finding {
  const { depth: depthMm, thread } = insert;
  if (!buy)
    return finding('insert-too-shallow', 'stop', 'set', {
      depthMm,
      needMm: threadOf(thread).diameterMm + INSERT_FREE_MM,
    });
  return finding('screw-none', 'stop', 'set', {
    thread,
    fromMm: buy.from,
    toMm: buy.to,
    lengthMm: buy.length ?? -1,
    spacerMm: buy.spacer ?? -1,
  });
}

/** A note where the insert's thread is not the one that the standard gives its pattern. */
export function threadFindings(screen: Screen): Finding[] {
  const thread = screen.insert?.thread;
  const { name, limitKg, takes: listed } = patternClass(screen.pattern, screen.mass);
  // sizes between are not in the standard, and neither is their thread
  const takes = limitKg === undefined ? [] : listed.map((t) => t.thread);
  if (thread === undefined || takes.length === 0 || takes.includes(thread)) return [];
  const values = { patternClass: name, thread, takes };
  return [finding('thread-off-class', 'info', 'set', values, 'VESA FDMI, from memory')];
}

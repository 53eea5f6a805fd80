import type { Fault } from './api';
import { CATALOGUE_BOUNDS, MOST_FAULTS, beyondBounds, shortened } from './bounds';
import { catalogue, mount, type Catalogue, type Mount } from './catalogue';
import { checkFile, type Checked } from './faults';

/** Entries that are checked between two breaths. */
const AT_ONCE = 100;

/**
 * Checks a catalogue read from JSON, mount by mount, so that whoever does it can breathe between them and call it
 * off (`breathe` gives false, and the answer is undefined). After 500 faults the rest is not looked at.
 */
export async function catalogueFromJson(
  value: unknown,
  breathe: (done: number, of: number) => Promise<boolean>,
): Promise<Checked<Catalogue> | undefined> {
  const beyond = beyondBounds(value, CATALOGUE_BOUNDS);
  if (beyond.length > 0) return { ok: false, faults: beyond };
  const whole = value as { mounts?: unknown };
  const list = typeof value === 'object' && value !== null && Array.isArray(whole.mounts) ? whole.mounts : undefined;
  const rest = checkFile(catalogue, list ? { ...whole, mounts: [] } : value, CATALOGUE_BOUNDS);
  if (!rest.ok || !list) return rest;
  const faults: Fault[] = [];
  const mounts: Mount[] = [];
  const ids = new Map<string, number>();
  for (const [i, entry] of (list as unknown[]).entries()) {
    const checked = checkFile(mount, entry);
    if (checked.ok) {
      const { id } = checked.value;
      const first = ids.get(id);
      if (first !== undefined)
        faults.push({ path: `mounts.${i}.id`, reason: `"${id}" is already used at mounts.${first}` });
      else ids.set(id, i);
      mounts.push(checked.value);
    } else faults.push(...checked.faults.map((f) => ({ ...f, path: below(`mounts.${i}`, f.path) })));
    if (faults.length > MOST_FAULTS) break;
    if (i % AT_ONCE === AT_ONCE - 1 && !(await breathe(i + 1, list.length))) return undefined;
  }
  return faults.length > 0
    ? { ok: false, faults: shortened(faults, faults.length > MOST_FAULTS ? Infinity : faults.length) }
    : { ok: true, value: { ...rest.value, mounts } };
}

const below = (where: string, path: string): string => (path === '(file)' ? where : `${where}.${path}`);

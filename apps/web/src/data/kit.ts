import type { CrewKit } from '@steddo/contract';
import { fetchKit } from './api';
import type { LocalStore } from './localStore';

const KEPT = 'kit';

/** The crew's kit from the server; where it cannot be reached the last one that was seen. */
export async function readKit(store: Pick<LocalStore, 'keep' | 'kept'>): Promise<CrewKit> {
  try {
    const kit = await fetchKit();
    void store.keep(KEPT, kit).catch(() => undefined);
    return kit;
  } catch (error) {
    const kept = (await store.kept(KEPT).catch(() => undefined)) as CrewKit | undefined;
    if (kept) return kept;
    throw error;
  }
}

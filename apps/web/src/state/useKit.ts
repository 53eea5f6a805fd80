import useSWR from 'swr';
import type { CrewKit } from '@steddo/contract';
import { fetchKit } from '../data/api';
import { localStore } from '../data/shared';

const NOTHING: CrewKit = {};
const KEPT = 'kit';

/** The crew's kit of anchors, lags and bits, which a room without its own is planned with; nothing until it is there. */
export function useKit(): CrewKit {
  const { data } = useSWR('kit', readKit, { revalidateOnFocus: false });
  return data ?? NOTHING;
}

/** From the server; where it cannot be reached the last one that was seen. */
async function readKit(): Promise<CrewKit> {
  try {
    const kit = await fetchKit();
    void localStore.keep(KEPT, kit).catch(() => undefined);
    return kit;
  } catch (error) {
    const kept = (await localStore.kept(KEPT).catch(() => undefined)) as CrewKit | undefined;
    if (kept) return kept;
    throw error;
  }
}

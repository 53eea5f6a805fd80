import useSWR from 'swr';
import type { CrewKit } from '@steddo/contract';
import { readKit } from '../data/kit';
import { localStore } from '../data/shared';

const NOTHING: CrewKit = {};

/**
 * The crew's kit of anchors, lags and bits, which a room without its own is planned with; nothing until it is there.
 * It is asked for as the app starts, and again when the server tells of another.
 */
export function useKit(): CrewKit {
  const { data } = useSWR('kit', () => readKit(localStore), { revalidateOnFocus: false, revalidateIfStale: false });
  return data ?? NOTHING;
}

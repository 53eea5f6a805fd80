import useSWR from 'swr';
import type { Catalogue } from '@steddo/contract';
import { catalogueWorker } from '../worker/catalogue';

export type CrewKit = Pick<Catalogue, 'anchors' | 'lags' | 'bits'>;

const NOTHING: CrewKit = {};

/** The crew's kit of anchors, lags and bits, from the catalogue; nothing until it is there. */
export function useKit(): CrewKit {
  const { data } = useSWR('kit', () => catalogueWorker().kit(), { revalidateOnFocus: false });
  return data ?? NOTHING;
}

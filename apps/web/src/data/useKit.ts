import useSWR from 'swr';
import type { KitSource } from '@steddo/core';
import { catalogueWorker } from '../worker/catalogue';

const NOTHING: KitSource = {};

/** The crew's kit of anchors, lags and bits, from the catalogue; nothing until it is there. */
export function useKit(): KitSource {
  const { data } = useSWR('kit', () => catalogueWorker().kit(), { revalidateOnFocus: false });
  return data ?? NOTHING;
}

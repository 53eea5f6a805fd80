import { useEffect, useState } from 'react';
import useSWR from 'swr';
import type { Job, MountType } from '@steddo/contract';
import type { MountQuery, RankedPage } from '../worker/catalogueJob';
import { catalogueWorker } from '../worker/catalogue';
import { told } from '../worker/told';
import { useOwn } from '../data/ownMounts';
import { ownMounts } from '../data/shared';

export interface CatalogueState {
  /** Counts up whenever the worker has another catalogue. */
  revision: number;
  known: boolean;
  noServer: boolean;
}

/** While there is no server it is asked again after so long, ms. */
const AGAIN_MS = 4000;

/** Brings the catalogue into the worker: the server's, or the last one seen; own mounts over it. */
export function useCatalogue(): CatalogueState {
  const { data } = useSWR('catalogue', () => catalogueWorker().load(), {
    revalidateOnFocus: false,
    refreshInterval: (last) => (last?.noServer ? AGAIN_MS : 0),
  });
  const own = useOwn(ownMounts);
  const [revision, setRevision] = useState(0);
  useEffect(() => {
    let here = true;
    void (async () => {
      await ownMounts.open();
      await catalogueWorker().setOwn(ownMounts.list());
      if (here && data?.known) setRevision((r) => r + 1);
    })();
    return () => {
      here = false;
    };
  }, [data, own]);
  return { revision, known: Boolean(data?.known), noServer: Boolean(data?.noServer) };
}

const isMountType = (name: string): name is MountType => name !== '';

export interface Ranking {
  page: RankedPage | undefined;
  /** Share of the mounts that have been judged, while it is at it. */
  progress: number | undefined;
  cancel: () => void;
}

/** A page of the ranked mounts from the worker; the last one stays while a new one is made. */
export function useRanking(job: Job, query: MountQuery, revision: number): Ranking {
  const [page, setPage] = useState<RankedPage>();
  const [progress, setProgress] = useState<number>();
  const { text, fitting, from, count } = query;
  const types = query.types.join();
  useEffect(() => {
    if (revision === 0) return;
    let here = true;
    const tell = (done: number, of: number) => here && setProgress(done / Math.max(1, of));
    const asked = { text, types: types.split(',').filter(isMountType), fitting, from, count };
    void told(tell, (tell) => catalogueWorker().rank(job, asked, tell)).then((result) => {
      if (!here) return;
      setProgress(undefined);
      if (result) setPage(result);
    });
    return () => {
      here = false;
    };
  }, [job, text, fitting, from, count, types, revision]);
  const cancel = () => {
    setProgress(undefined);
    void catalogueWorker().cancelRanking();
  };
  return { page, progress, cancel };
}

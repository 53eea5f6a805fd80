import type { Catalogue, Fault, Job, Mount, MountType, Ranked } from '@steddo/contract';
import {
  comparePlaces,
  fitContext,
  isRanked,
  newMemory,
  placeOf,
  rankOne,
  readingsOf,
  roomKindOf,
  searchFirst,
  type FitContext,
  type RankPlace,
  type StudsFound,
} from '@steddo/core';

/** What of the catalogue is asked for. */
export interface MountQuery {
  text: string;
  types: readonly MountType[];
  /** Only those without a stop. */
  fitting: boolean;
  from: number;
  count: number;
  archived?: boolean;
}

/** A mount, and what the list says of it. */
export interface RankedMount {
  mount: Mount;
  ranked: Ranked;
}

export interface RankedPage {
  mounts: RankedMount[];
  /** All that the filter lets through. */
  total: number;
  /** All that were judged. */
  of: number;
}

export type ReadResult = { ok: true; mounts: number } | { ok: false; faults: Fault[] };
export type Progress = (done: number, of: number) => void;

/** So many are judged or read before the worker looks whether it was called off. */
const AT_ONCE = 1000;

/** Whether this piece of work still counts; a later one takes its place. */
export type StillWanted = () => boolean;

export const pause = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 0));

/**
 * Judges every mount and gives a page of them, best first. Works in pieces, so that it can be
 * called off; undefined when it was. Places are kept for the job they were judged by, so that
 * another filter or page costs nothing.
 */
export class MountRanking {
  private places: RankPlace[] = [];
  private key = '';
  private memory = newMemory();
  private ranked?: (place: RankPlace) => RankedMount;

  forget(): void {
    this.key = '';
  }

  async page(
    mounts: readonly Mount[],
    job: Job,
    query: MountQuery,
    wanted: StillWanted,
    progress: Progress,
  ): Promise<RankedPage | undefined> {
    const asked = asRanked(job);
    const context = fitContext(asked, this.memory.mounts);
    const found = this.memory.inferStuds(...readingsOf(asked));
    const key = JSON.stringify(asked);
    if (key !== this.key) {
      const places = await this.judge(mounts, { job: asked, context, found }, wanted, progress);
      if (!places) return undefined;
      this.places = places;
      this.key = key;
    }
    const passing = this.places.filter((p) => passes(p, query));
    const shown = passing.slice(query.from, query.from + query.count);
    this.ranked = ({ mount, searched }) => ({
      mount,
      ranked: rankOne(mount, asked, context, searched ? found : undefined),
    });
    return { mounts: shown.map(this.ranked), total: passing.length, of: this.places.length };
  }

  /** Mounts of the list that was last asked for, by their ids, whatever its filter lets through. */
  some(ids: readonly string[]): RankedMount[] {
    return ids.flatMap((id) => {
      const place = this.places.find((p) => p.mount.id === id);
      return place && this.ranked ? [this.ranked(place)] : [];
    });
  }

  private async judge(
    mounts: readonly Mount[],
    { job, context, found }: { job: Job; context: FitContext; found: StudsFound },
    wanted: StillWanted,
    progress: Progress,
  ): Promise<RankPlace[] | undefined> {
    const places: RankPlace[] = [];
    for (let i = 0; i < mounts.length; i += AT_ONCE) {
      if (i > 0) await pause();
      if (!wanted()) return undefined;
      for (const mount of mounts.slice(i, i + AT_ONCE))
        if (isRanked(mount, job)) places.push(placeOf(mount, job, context));
      progress(Math.min(i + AT_ONCE, mounts.length), mounts.length);
    }
    return searchFirst(places.sort(comparePlaces), job, context, found);
  }
}

/**
 * The job with nothing in it but what a mount is judged by: only that is handed on, so that nothing which
 * decides can be missing from what is kept by it.
 */
function asRanked(job: Job): Job {
  const { screen, aim, guessed, evidence, scans, looks, drilled, anchors, lags, bits, leads, hang } = job;
  const { centreX, centreY, fold, packing, cornerGap, cornerTurn, portrait } = job.choices ?? {};
  const school = job.fixing?.school;
  return {
    ...{ format: job.format, version: job.version, title: '', units: job.units },
    ...{ screen, room: saidKind(job), aim, guessed, evidence, scans, looks, drilled, anchors, lags, bits },
    // who lifts it goes by them
    ...{ leads, hang },
    choices: { centreX, centreY, fold, packing, cornerGap, cornerTurn, portrait },
    ...(school ? { fixing: { school } } : {}),
  };
}

/** The room with its kind where that follows from the picked mount: the list has none. */
function saidKind({ room, mount }: Job): Job['room'] {
  const kind = roomKindOf({ room, ...(mount ? { mount } : {}) });
  return room.kind === undefined && kind !== 'wall' ? { ...room, kind } : room;
}

function passes({ mount, stops }: RankPlace, { text, types, fitting }: MountQuery): boolean {
  if (fitting && stops > 0) return false;
  if (types.length > 0 && !types.includes(mount.type)) return false;
  return matches(mount, text);
}

/** Every word of the text is in the name or the id. */
export function matches(mount: Pick<Mount, 'name' | 'id'>, text: string): boolean {
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  const name = `${mount.name} ${mount.id}`.toLowerCase();
  return words.every((w) => name.includes(w));
}

/** Mounts of the server with those of this device over them, which have not been sent yet. */
export function withOwn(catalogue: Catalogue, own: readonly Mount[]): Mount[] {
  const ids = new Set(own.map((m) => m.id));
  return [...own, ...catalogue.mounts.filter((m) => !ids.has(m.id))];
}

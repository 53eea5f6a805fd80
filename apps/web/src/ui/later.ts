import { createElement, useEffect, useState, type ComponentType } from 'react';

const FIRST_MS = 1500;
const LONGEST_MS = 30_000;
/** No longer than until the device is in a network again. */
const pause = (ms: number): Promise<void> =>
  new Promise((over) => {
    const timer = setTimeout(done, ms);
    window.addEventListener('online', done);
    function done() {
      clearTimeout(timer);
      window.removeEventListener('online', done);
      over();
    }
  });

/** Something of a page that comes after it: brought once, there from then on, and asked for until it can be had. */
export class Later<T> {
  /** Undefined until it has been brought. */
  there: T | undefined;
  private coming: Promise<T> | undefined;

  constructor(
    private readonly load: () => Promise<T>,
    private readonly wait: (ms: number) => Promise<void> = pause,
  ) {}

  bring = (): Promise<T> => (this.coming ??= this.untilThere());

  private async untilThere(): Promise<T> {
    for (let waitMs = FIRST_MS; ; waitMs = Math.min(2 * waitMs, LONGEST_MS)) {
      try {
        return (this.there = await this.load());
      } catch {
        // the server cannot be reached now: what is there already goes on working meanwhile
        await this.wait(waitMs);
      }
    }
  }
}

/** A part of a page that comes after it. */
export type LaterPart<P> = ComponentType<P> & { later: Later<ComponentType<P>> };

/** Drawn at once when it is there, else as soon as it comes; `Meanwhile` stands in for it. */
export function laterPart<P extends object>(
  load: () => Promise<ComponentType<P>>,
  Meanwhile: ComponentType,
): LaterPart<P> {
  const later = new Later(load);
  const Part = (props: P) => {
    const [, came] = useState(later.there !== undefined);
    useEffect(() => {
      let wanted = true;
      if (!later.there) void later.bring().then(() => wanted && came(true));
      return () => {
        wanted = false;
      };
    }, []);
    return later.there ? createElement(later.there, props) : createElement(Meanwhile);
  };
  return Object.assign(Part, { later });
}

/** So long a page waits for all of it, rather than to show a part and then the rest of it, ms. */
const SOON_MS = 250;

/**
 * Whether a page is to be shown: all that comes after it is there, or it took longer than a moment. Brought in this order, each
 * when the one before is there.
 */
export function useSoon(parts: readonly Later<unknown>[]): boolean {
  const [shown, setShown] = useState(() => parts.every((p) => p.there !== undefined));
  useEffect(() => {
    if (shown) return;
    let wanted = true;
    const show = () => wanted && setShown(true);
    const timer = setTimeout(show, SOON_MS);
    void inOrder(parts).then(show);
    return () => {
      wanted = false;
      clearTimeout(timer);
    };
  }, [shown, parts]);
  return shown;
}

/** Each when the one before is there. */
export async function inOrder(parts: readonly Later<unknown>[]): Promise<void> {
  for (const part of parts) await part.bring();
}

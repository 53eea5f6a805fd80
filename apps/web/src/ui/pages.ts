import { useEffect } from 'react';

/** The router's pages by their files, as Metro gives them: each comes when it is asked for. */
export interface Pages {
  (file: string): unknown;
  keys: () => string[];
  resolve: (file: string) => string;
  id: string;
}

/** A page after which more comes once it is open. */
interface FollowedPage {
  bringRest: () => Promise<void>;
}
const isFollowed = (page: unknown): page is FollowedPage =>
  typeof page === 'object' && page !== null && 'bringRest' in page;

/** Left of a page's file when it is an address: `./room/[id]/index.tsx` is room, [id]. */
const segmentsOf = (file: string): string[] =>
  file
    .replace(/^\.\//, '')
    .replace(/(^|\/)index\.tsx$|\.tsx$/, '')
    .split('/')
    .filter(Boolean);

const isAnything = (segment: string): boolean => segment.startsWith('[');

/** The page that an address shows, the one that says most of it in words. */
export function pageOf(path: string, files: readonly string[]): string | undefined {
  const asked = path.split('/').filter(Boolean);
  const fits = (segments: readonly string[]) =>
    segments.length === asked.length && segments.every((s, i) => isAnything(s) || s === asked[i]);
  const open = (file: string) => segmentsOf(file).filter(isAnything).length;
  return files.filter((file) => fits(segmentsOf(file))).sort((a, b) => open(a) - open(b))[0];
}

/**
 * Pages that stay: one that has been brought is there at once, and is shown without waiting. What stands in for a page
 * that is on its way stays for a third of a second, however soon the page comes.
 */
export class KeptPages {
  private readonly there = new Map<string, unknown>();
  constructor(private readonly pages: Pages) {}

  /** For the router. */
  readonly context: Pages = Object.assign((file: string) => this.there.get(file) ?? this.bringFile(file), {
    keys: () => this.pages.keys(),
    resolve: (file: string) => this.pages.resolve(file),
    id: 'pages',
  });

  /** What an address shows is there from now on, or cannot be had now and is asked for again when it is opened. */
  async bring(path: string): Promise<unknown> {
    const file = pageOf(path, this.pages.keys());
    const [, page] = await Promise.allSettled(['./_layout.tsx', ...(file ? [file] : [])].map((f) => this.bringFile(f)));
    return page?.status === 'fulfilled' ? page.value : undefined;
  }

  /** The same of a page that is not opened yet, with what comes after it once it is. */
  async bringAhead(path: string): Promise<void> {
    const page = await this.bring(path);
    if (isFollowed(page)) await page.bringRest();
  }

  private async bringFile(file: string): Promise<unknown> {
    const page = await this.pages(file);
    this.there.set(file, page);
    return page;
  }
}

let kept: KeptPages | undefined;

/** The app's pages, kept from now on. */
export const keepPages = (pages: Pages): KeptPages => (kept = new KeptPages(pages));

/** A page that stands still for so long has time for those after it, ms. */
const STILL_MS = 1200;

/** Between two frames that have time to spare; at once where the browser does not tell. */
const whenIdle = (work: () => void): void => {
  if ('requestIdleCallback' in window) window.requestIdleCallback(work);
  else work();
};

/** Brings the pages that most likely come next, once the one that is open has been shown. */
export function useNextPages(paths: readonly string[]): void {
  const all = paths.join(' ');
  useEffect(() => {
    const bring = () => all.split(' ').forEach((path) => void kept?.bringAhead(path));
    const timer = setTimeout(() => whenIdle(bring), STILL_MS);
    return () => clearTimeout(timer);
  }, [all]);
}

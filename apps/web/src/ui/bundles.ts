/** Brings a file of the app by its address, and runs it. */
type Bring = (address: string) => Promise<unknown>;

/**
 * A page may be several files, their addresses a space apart: what it shares with others comes before it. Metro's own
 * way of bringing one is set when the router starts, and every page is asked for through it.
 */
const NAME = `${(globalThis as { __METRO_GLOBAL_PREFIX__?: string }).__METRO_GLOBAL_PREFIX__ ?? ''}__loadBundleAsync`;

/**
 * Fetched side by side and run in order: whoever asks for a page whose own file has run is given it at once, and a
 * page that is run without what it shares is broken until the app is opened anew.
 */
const inOrder =
  (bring: Bring): Bring =>
  async (addresses) => {
    const [first, ...rest] = addresses.split(' ');
    rest.forEach(fetchAhead);
    await bring(first!);
    // a browser gives the failure of what was fetched ahead once more, without asking the server: after it, it asks
    for (const address of rest) await bring(address).catch(() => bring(address));
  };

function fetchAhead(address: string): void {
  if (document.head.querySelector(`[href="${address}"], [src="${address}"]`)) return;
  document.head.append(Object.assign(document.createElement('link'), { rel: 'preload', as: 'script', href: address }));
}

let bringAll: Bring | undefined;
Object.defineProperty(globalThis, NAME, {
  configurable: true,
  get: () => bringAll,
  set: (bring: Bring) => {
    bringAll = inOrder(bring);
  },
});

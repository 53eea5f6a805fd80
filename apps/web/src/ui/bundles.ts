/** Brings a file of the app by its address. */
type Bring = (address: string) => Promise<unknown>;

/**
 * A page may be several files, their addresses a space apart: what it shares with others comes beside it. Metro's own
 * way of bringing one is set when the router starts, and every page is asked for through it.
 */
const NAME = `${(globalThis as { __METRO_GLOBAL_PREFIX__?: string }).__METRO_GLOBAL_PREFIX__ ?? ''}__loadBundleAsync`;
const several =
  (bring: Bring): Bring =>
  (addresses) =>
    Promise.all(addresses.split(' ').map(bring));
let bringAll: Bring | undefined;
Object.defineProperty(globalThis, NAME, {
  configurable: true,
  get: () => bringAll,
  set: (bring: Bring) => {
    bringAll = several(bring);
  },
});

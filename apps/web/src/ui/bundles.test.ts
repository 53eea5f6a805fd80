import './bundles';

type Bring = (addresses: string) => Promise<unknown>;
const metro = globalThis as unknown as { __loadBundleAsync: Bring };
const rest = () => new Promise((resolve) => setTimeout(resolve));

describe('a page of several files', () => {
  it('is fetched side by side and run in order, however late what it shares comes', async () => {
    const asked: string[] = [];
    let come = (): void => undefined;
    metro.__loadBundleAsync = (address) => {
      asked.push(address);
      return address === '/shared.js' ? new Promise<void>((resolve) => (come = resolve)) : Promise.resolve();
    };
    const ahead = () => [...document.head.querySelectorAll('link')].map((l) => [l.rel, l.getAttribute('href')]);
    const page = metro.__loadBundleAsync('/shared.js /page.js');
    const again = metro.__loadBundleAsync('/shared.js /page.js');
    await rest();
    expect(asked).toEqual(['/shared.js', '/shared.js']);
    expect(ahead()).toEqual([['preload', '/page.js']]);
    come();
    await again;
    expect(asked.slice(2)).toEqual(['/page.js']);
    void page;
  });
  it('whose shared file cannot be had is not run at all', async () => {
    const asked: string[] = [];
    metro.__loadBundleAsync = (address) => {
      asked.push(address);
      return Promise.reject(new Error('no server'));
    };
    await expect(metro.__loadBundleAsync('/shared.js /page.js')).rejects.toThrow('no server');
    expect(asked).toEqual(['/shared.js']);
  });
  it('that failed as it was fetched ahead is asked for once more, when what comes before it is there', async () => {
    const asked: string[] = [];
    metro.__loadBundleAsync = (address) => {
      asked.push(address);
      return asked.length === 2 ? Promise.reject(new Error('of the one fetched ahead')) : Promise.resolve();
    };
    await metro.__loadBundleAsync('/shared.js /page.js');
    expect(asked).toEqual(['/shared.js', '/page.js', '/page.js']);
  });
});

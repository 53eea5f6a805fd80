import { KeptPages, pageOf, type Pages } from './pages';

const FILES = [
  './+not-found.tsx',
  './_layout.tsx',
  './index.tsx',
  './device.tsx',
  './catalogue/[id].tsx',
  './catalogue/index.tsx',
  './room/[id]/[stage].tsx',
  './room/[id]/index.tsx',
  './room/[id]/ladder.tsx',
];

/** Pages as Metro brings them, and the files that were asked for. */
function brought(fails: string[] = []) {
  const asked: string[] = [];
  const pages: Pages = Object.assign(
    (file: string) => {
      asked.push(file);
      return fails.includes(file) ? Promise.reject(new Error('no server')) : Promise.resolve({ default: file });
    },
    { keys: () => FILES, resolve: (file: string) => file, id: '' },
  );
  return { kept: new KeptPages(pages), asked };
}

describe('the page of an address', () => {
  it.each([
    ['/', './index.tsx'],
    ['/device', './device.tsx'],
    ['/catalogue', './catalogue/index.tsx'],
    ['/catalogue/louvre-2', './catalogue/[id].tsx'],
    ['/room/guest-room', './room/[id]/index.tsx'],
    ['/room/guest-room/', './room/[id]/index.tsx'],
    ['/room/guest-room/wall', './room/[id]/[stage].tsx'],
    ['/room/guest-room/ladder', './room/[id]/ladder.tsx'],
    ['/room/guest-room/wall/more', undefined],
  ])('%s', (path, file) => expect(pageOf(path, FILES)).toBe(file));
});

describe('pages that stay', () => {
  it('are there at once when they have been brought, with the layout about them', async () => {
    const { kept, asked } = brought();
    await kept.bring('/room/guest-room/wall');
    expect(kept.context('./room/[id]/[stage].tsx')).toEqual({ default: './room/[id]/[stage].tsx' });
    expect(kept.context('./_layout.tsx')).toEqual({ default: './_layout.tsx' });
    expect(asked).toEqual(['./_layout.tsx', './room/[id]/[stage].tsx']);
  });
  it('come when the router asks for one, and are there the next time', async () => {
    const { kept } = brought();
    expect(await kept.context('./device.tsx')).toEqual({ default: './device.tsx' });
    expect(kept.context('./device.tsx')).toEqual({ default: './device.tsx' });
  });
  it('that cannot be had hold nothing up, and are asked for again', async () => {
    const { kept, asked } = brought(['./device.tsx']);
    await kept.bring('/device');
    await expect(kept.context('./device.tsx')).rejects.toThrow('no server');
    expect(asked.filter((file) => file === './device.tsx')).toHaveLength(2);
  });
  it('bring what comes after them when they are brought ahead, and not when they are opened', async () => {
    const followed: string[] = [];
    const page = { default: 'a page', bringRest: () => Promise.resolve(void followed.push('the rest')) };
    const pages: Pages = Object.assign(() => Promise.resolve(page), {
      keys: () => FILES,
      resolve: (file: string) => file,
      id: '',
    });
    await new KeptPages(pages).bring('/room/guest-room/wall');
    expect(followed).toEqual([]);
    await new KeptPages(pages).bringAhead('/room/guest-room/wall');
    expect(followed).toEqual(['the rest']);
    // a page without any is as it was
    await brought().kept.bringAhead('/device');
  });
});

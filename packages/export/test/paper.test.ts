import type { Hole, Job } from '@steddo/contract';
import {
  clockmakersBench,
  guestRoom,
  hallwayNiche,
  narrowboatCabin,
  sewingCorner,
  smallestRoom,
  stoveParlour,
} from '@steddo/samples';
import { templateScenes } from '@steddo/drawing';
import { holeName } from '@steddo/text';
import sharp from 'sharp';
import { NotMade, SHEET_PARTS, toSheet, toTemplate, type SheetPart } from '../src';
import { MARGIN_MM, tilesOf } from '../src/tiling';
import { at, exported, fonts, readPdf, type ReadPdf } from './made';

/* Paper, read back by pdfjs: what is written where, what is drawn where, and that there is ink in every word. */

const words = ({ pages }: ReadPdf) =>
  pages.map((p) =>
    p.texts
      .map((t) => t.text)
      .join(' ')
      .replace(/\s+/g, ' '),
  );

/** Words that stand on one another: their boxes, from the baseline to the top of a capital, share more than a hair. */
const over =
  (a: ReadPdf['pages'][number]['texts'][number]) =>
  (b: typeof a): string[] => {
    const wide = Math.min(a.x + a.width, b.x + b.width) - Math.max(a.x, b.x);
    const high = Math.min(a.y, b.y) - Math.max(a.y - a.height * 0.7, b.y - b.height * 0.7);
    return wide > 0.3 && high > 0.3 ? [`${a.text} / ${b.text}`] : [];
  };

/** No word runs off the paper, none is invisible, and none lies over another. */
function isLegible(pdf: ReadPdf): void {
  const all = pdf.pages.flatMap(({ texts, ...page }) => texts.map((t) => ({ ...t, page })));
  const isOff = ({ x, y, width, page }: (typeof all)[number]) =>
    x < 4 || x + width > page.width - 3 || y > page.height - 3;
  const isPale = ({ text, ink }: (typeof all)[number]) => /[\p{L}\p{N}]/u.test(text) && ink <= 2;
  expect(all.length).toBeGreaterThan(0);
  expect(all.filter((t) => isOff(t) || isPale(t))).toEqual([]);
  for (const { texts } of pdf.pages) expect(texts.flatMap((t, i) => texts.slice(i + 1).flatMap(over(t)))).toEqual([]);
}

const jpeg = async (width: number, height: number) =>
  new Uint8Array(
    await sharp({ create: { width, height, channels: 3, background: '#a98' } })
      .jpeg()
      .toBuffer(),
  );

/** Sheets that are looked at more than once are made and read once. */
const made = new Map<Job, Map<string, ReadPdf>>();
async function sheetOf(job: Job, paper: 'a4' | 'letter' = 'a4'): Promise<ReadPdf> {
  const known = made.get(job)?.get(paper);
  if (known) return known;
  const read = await readPdf(await toSheet(exported(job), { paper, fonts, at }));
  made.set(job, new Map([...(made.get(job) ?? []), [paper, read]]));
  return read;
}

describe('the sheet', () => {
  it('says everything about the guest room: title, holes, what they hold, cautions, the customer, the record', async () => {
    const whole = exported(guestRoom);
    const pdf = await sheetOf(guestRoom);
    expect([pdf.title, pdf.lang, pdf.tagged]).toEqual(['Guest room', 'en-GB', true]);
    const [page] = pdf.pages;
    expect([page!.width, page!.height].map((mm) => Math.round(mm * 100) / 100)).toEqual([210, 297]);
    const text = words(pdf).join(' ');
    for (const h of whole.plan.holes!) expect(text).toContain(holeName(h, whole.plan.holes!));
    for (const said of [
      'Guest room',
      'Holes, in the order in which they are drilled',
      'What each fastener has to hold',
      'Cautions',
      'not an engineer’s approval',
      'For the customer',
      'Record',
      `page 1 of ${pdf.pages.length}`,
      `page ${pdf.pages.length} of ${pdf.pages.length}`,
    ])
      expect(text).toContain(said);
    expect(page!.tree).toEqual(expect.arrayContaining(['Document', 'H1', 'H2', 'P', 'Figure', 'TH', 'TD']));
    isLegible(pdf);
  });

  it('on letter is as large as letter is', async () => {
    const [page] = (await sheetOf(guestRoom, 'letter')).pages;
    expect([page!.width, page!.height].map((mm) => Math.round(mm * 100) / 100)).toEqual([215.9, 279.4]);
  });

  it.each([
    ['empty', smallestRoom],
    ['two walls', sewingCorner],
    ['packing and a mantel', stoveParlour],
    ['a box', hallwayNiche],
    ['a thin wall', narrowboatCabin],
    ['a bench', clockmakersBench],
  ])('of a room with %s is legible', async (_, job) => {
    isLegible(await sheetOf(job));
  });

  it('keeps a heading with what it heads', async () => {
    for (const [job, paper] of [
      [stoveParlour, 'letter'],
      [stoveParlour, 'a4'],
      [narrowboatCabin, 'letter'],
    ] as const) {
      const pages = words(await sheetOf(job, paper));
      const page = pages.find((p) => p.includes('Section through the plate'))!;
      expect(page.split('Section through the plate')[1]).toContain('Drawn to scale');
    }
  });

  it('of a job with forty holes drilled lists each, under its columns on every page', async () => {
    const drilled = Array.from({ length: 40 }, (_, i) => ({
      ...{ hole: `h${i + 1}`, x: 1000 + 10 * i, y: 1400 - 5 * i, result: 'good' as const },
      at: '2027-03-04T10:00:00Z',
    }));
    const pdf = await sheetOf({ ...guestRoom, drilled });
    isLegible(pdf);
    const record = words(pdf).filter((p) => p.includes('came out'));
    for (let i = 1; i <= 40; i++) expect(record.join(' ')).toMatch(new RegExp(`\\bh${i}\\b`));
  });

  it('of a job that is not done does not say that nothing is open', async () => {
    const page = words(await sheetOf(guestRoom)).find((p) => p.includes('Still open'))!;
    expect(page).toContain('The job is not done yet.');
    expect(page).not.toContain('Nothing.');
  });

  it('of long names and notes cuts no word', async () => {
    const long = 'Schlossherrenzimmerwandbefestigung'.repeat(6);
    const notes = Array.from({ length: 30 }, (_, i) => ({
      text: `Note ${i + 1}: ${'the wall is as it is. '.repeat(12)}`,
    }));
    const pdf = await sheetOf({ ...guestRoom, title: `${long} of the house`.slice(0, 199), record: { notes } });
    isLegible(pdf);
    const text = words(pdf).join(' ');
    for (const n of [1, 15, 30]) expect(text).toContain(`Note ${n}:`);
  });

  it('of right-to-left names has them in order, in a font that has their letters', async () => {
    const pdf = await sheetOf({ ...guestRoom, title: 'Room שלום עולם 3', record: { notes: [{ text: 'غرفة النوم' }] } });
    isLegible(pdf);
    // the reader puts what stands right to left back into reading order: it could not if the words were drawn the wrong way round
    const heading = pdf.pages[0]!.texts.filter((t) => t.height > 6);
    const [room, hebrew] = ['Room', 'שלום עולם'].map((w) => heading.find((t) => t.text.startsWith(w)));
    expect(room!.x).toBeLessThan(hebrew!.x);
    expect(words(pdf).join(' ')).toContain('غرفة النوم');
  });

  it('in its parts has what is for each and nothing of the others', async () => {
    const whole = exported(guestRoom);
    const heads: Record<SheetPart, string> = {
      sheet: 'Holes, in the order in which they are drilled',
      customer: 'For the customer',
      record: 'Holes as drilled',
    };
    for (const part of SHEET_PARTS) {
      const text = words(await readPdf(await toSheet(whole, { paper: 'a4', part, fonts, at }))).join(' ');
      expect(SHEET_PARTS.filter((other) => text.includes(heads[other]))).toEqual([part]);
    }
  });

  it('has the pictures in its record, each with what it is of; one that is not there is named', async () => {
    const [upright, across] = await Promise.all([jpeg(300, 400), jpeg(400, 300)]);
    const photos = ['p1', 'p2', 'p3'].map((id, i) => ({
      id,
      of: ['room', 'h1', 'k9'][i]!,
      at: '2027-03-04T10:00:00Z',
    }));
    const pictures = new Map([
      ['p1', upright],
      ['p2', across],
    ]);
    const whole = { ...exported({ ...guestRoom, photos }), pictures };
    const bytes = await toSheet(whole, { paper: 'a4', part: 'record', fonts, at });
    const pdf = await readPdf(bytes);
    isLegible(pdf);
    const text = words(pdf).join(' ');
    expect(text).toContain('the room, 2027-03-04');
    expect(text).toMatch(/Hole 1[^,]*, [^,]*, [^,]*, 2027-03-04/);
    expect(text).toContain('what is not there any more, 2027-03-04, the picture is not here');
    const file = Buffer.from(bytes);
    expect([upright, across].map((p) => file.includes(Buffer.from(p)))).toEqual([true, true]);
    expect(pdf.pages.flatMap((p) => p.tree).filter((t) => t === 'Figure')).toHaveLength(2);
    // as wide as half a page, or as high as one that was held upright may be; never out of shape
    expect(pdf.pages.flatMap((p) => p.images.map((i) => [i.width, i.height].map(Math.round)))).toEqual([
      [68, 90],
      [86, 65],
    ]);
  });

  it('has the set on its photograph on the customer’s page, the latest that was kept, and none that nothing was drawn on', async () => {
    const [bare, kept] = await Promise.all([jpeg(400, 300), jpeg(300, 300)]);
    const photos = [
      { id: 'wall', of: 'room' },
      { id: 'shown', of: 'room', drawnOn: 'wall' },
    ];
    const made = async (pictures: Map<string, Uint8Array>) =>
      await readPdf(
        await toSheet(
          { ...exported({ ...guestRoom, photos }), pictures },
          { paper: 'a4', part: 'customer', fonts, at },
        ),
      );
    const pdf = await made(
      new Map([
        ['wall', bare],
        ['shown', kept],
      ]),
    );
    expect(words(pdf).join(' ')).toContain('a drawing to scale, not a promise');
    expect(pdf.pages.flatMap((p) => p.images)).toHaveLength(1);
    // square as it is, and not the bare wall’s four by three
    const [image] = pdf.pages.flatMap((p) => p.images);
    expect(image!.width).toBeCloseTo(image!.height, 3);
    expect(words(await made(new Map([['wall', bare]]))).join(' ')).not.toContain('How it looks');
  });

  it('with a letter that no font has is not made, and names it', async () => {
    await expect(sheetOf({ ...guestRoom, title: 'Den 🦄' })).rejects.toThrow(/U\+1F984/);
  });
});

describe('the template', () => {
  const PAPER = { a4: { width: 210, height: 297 }, letter: { width: 215.9, height: 279.4 } };

  it.each([
    ['guest room', guestRoom, 'a4'],
    ['guest room', guestRoom, 'letter'],
    ['hallway niche', hallwayNiche, 'a4'],
    ['narrowboat cabin', narrowboatCabin, 'letter'],
    ['sewing corner, both walls', sewingCorner, 'a4'],
  ] as const)(
    'of the %s has every cross at full size on every sheet, and bars of 100 mm and 4 in (%#)',
    async (_, job, paper) => {
      const whole = exported(job);
      const pdf = await readPdf(await toTemplate(whole, { paper, fonts, at }));
      const sheets = templateScenes(whole.job, whole.plan).flatMap(({ wall, scene }) =>
        tilesOf(scene.bounds, PAPER[paper]).map((tile) => ({ wall, tile })),
      );
      expect(pdf.pages).toHaveLength(sheets.length);
      // seen by who faces it: a left wall is measured from the corner at its right end
      const across = (h: Hole) => (h.wall === 'left' ? whole.job.room.sideWalls!.left!.width! - h.x : h.x);
      let crosses = 0;
      pdf.pages.forEach((page, i) => {
        const { wall, tile } = sheets[i]!;
        const own = whole.plan.holes!.filter((h) => (h.wall ?? 'main') === wall);
        const level = (x: number, y: number, arm: number) =>
          page.paths.some(
            (p) =>
              p.length === 2 &&
              Math.abs(p[0]![0] - (x - arm)) < 0.1 &&
              Math.abs(p[1]![0] - (x + arm)) < 0.1 &&
              p.every(([, py]) => Math.abs(py - y) < 0.1),
          );
        for (const h of own) {
          const at = across(h);
          const [x, y] = [MARGIN_MM + at - tile.left, MARGIN_MM + tile.top - h.y];
          if (at >= tile.left && at <= tile.right && h.y >= tile.bottom && h.y <= tile.top) {
            crosses += 1;
            expect([h.id, level(x, y, 8)]).toEqual([h.id, true]);
          }
          const onCross = page.texts.filter(
            (t) => t.x < x && t.x + t.width > x && t.y > y - 8 && t.y - t.height < y + 8,
          );
          expect([h.id, onCross.map((t) => t.text)]).toEqual([h.id, []]);
        }
        for (const bar of [100, 101.6]) {
          const found = page.paths.filter(
            (p) =>
              p.length === 2 &&
              Math.abs(Math.abs(p[1]![0] - p[0]![0]) - bar) < 0.001 &&
              Math.abs(p[0]![1] - p[1]![1]) < 1e-6,
          );
          expect(found.length).toBeGreaterThan(0);
        }
        expect(page.texts.some((t) => t.text.includes(`sheet ${tile.name}`))).toBe(true);
      });
      // each hole is on a sheet, some on two
      expect(crosses).toBeGreaterThanOrEqual(whole.plan.holes!.length);
      isLegible(pdf);
    },
  );

  it('on a roll is one sheet, as long as it has to be; a roll that is too narrow is refused', async () => {
    const whole = exported(guestRoom);
    const { pages } = await readPdf(await toTemplate(whole, { paper: 'roll', width: 914, fonts, at }));
    expect(pages).toHaveLength(1);
    expect(pages[0]!.width).toBeCloseTo(914, 2);
    await expect(toTemplate(whole, { paper: 'roll', width: 300, fonts, at })).rejects.toThrow(/300 mm wide/);
    await expect(toTemplate(exported(smallestRoom), { paper: 'a4', fonts, at })).rejects.toThrow(NotMade);
  });

  it('covers its drawing with sheets that lie over each other by the strip of glue', () => {
    for (const [width, height] of [
      [150, 100],
      [500, 200],
      [900, 1200],
      [186, 251],
    ] as const) {
      const tiles = tilesOf({ left: 0, right: width, bottom: 0, top: height }, PAPER.a4);
      const rows = [...new Set(tiles.map((t) => t.row))].map((r) => tiles.filter((t) => t.row === r));
      for (const t of tiles)
        expect([t.right - t.left, t.top - t.bottom]).toEqual([expect.closeTo(186, 9), expect.closeTo(251, 9)]);
      for (const row of rows) row.slice(1).forEach((t, i) => expect(row[i]!.right - t.left).toBeCloseTo(10, 9));
      rows.slice(1).forEach((row, i) => expect(row[0]!.top - rows[i]![0]!.bottom).toBeCloseTo(10, 9));
      expect(Math.max(...tiles.map((t) => t.right))).toBeGreaterThanOrEqual(width - 1e-9);
      expect(Math.min(...tiles.map((t) => t.bottom))).toBeLessThanOrEqual(1e-9);
    }
  });
});

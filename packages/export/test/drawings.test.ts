import { parse } from 'csv-parse/sync';
import DxfParser from 'dxf-parser';
import ICAL from 'ical.js';
import { templateScenes } from '@steddo/drawing';
import { breakfastBar, guestRoom, hallwayNiche, sewingCorner, smallestRoom } from '@steddo/samples';
import { NotMade, outermost, printScale, toCsv, toDxf, toIcs, toSvg, viewOf, VIEWS } from '../src';
import { at, exported } from './made';

/* Drawings, calendar and tables read back by libraries that are not ours. */

const guest = exported(guestRoom);

describe('a drawing as DXF', () => {
  const read = (text: string) => new DxfParser().parseSync(text)!;
  interface Circle {
    center: { x: number; y: number };
    radius: number;
  }

  it('has each hole as a circle where the plan has it, in millimetres, on its own layer', () => {
    const dxf = read(toDxf(viewOf(guest, 'face')));
    expect(dxf.header.$INSUNITS).toBe(4);
    const circles = dxf.entities.filter((e) => e.type === 'CIRCLE' && e.layer === 'holes') as unknown as Circle[];
    const sorted = (all: { x: number; y: number }[]) => [...all].sort((a, b) => a.x - b.x || a.y - b.y);
    const found = sorted(circles.map((c) => c.center));
    sorted(guest.plan.holes!.map(({ x, y }) => ({ x, y }))).forEach((h, i) => {
      expect(found[i]!.x).toBeCloseTo(h.x, 6);
      expect(found[i]!.y).toBeCloseTo(h.y, 6);
    });
    expect(found).toHaveLength(4);
    expect(Object.keys(dxf.tables.layer.layers)).toEqual(expect.arrayContaining(['wall', 'holes', 'plate', 'labels']));
  });

  it('of every view of every kind of room is read again', () => {
    for (const job of [breakfastBar, sewingCorner, hallwayNiche])
      for (const view of VIEWS) {
        const scene = viewOf(exported(job), view);
        const { entities } = read(toDxf(scene));
        expect(entities.length).toBeGreaterThan(scene.shapes.length / 2);
        expect(entities.filter((e) => e.type === 'TEXT')).toHaveLength(scene.labels.length);
      }
  });
});

describe('a drawing as SVG', () => {
  it('is as large as what it draws, in millimetres, with nothing in it that XML does not take', () => {
    const title = 'Smith & <Sons> "cellar" \u0007';
    const svg = toSvg(viewOf(guest, 'face'), title);
    const { width, height } = guestRoom.room.wall;
    expect(svg).toContain(
      `width="${Math.round(width * 1000) / 1000}mm" height="${Math.round(height * 1000) / 1000}mm"`,
    );
    expect(svg).toContain('<title>Smith &amp; &lt;Sons&gt; &quot;cellar&quot; </title>');
    expect(svg).not.toMatch(/NaN|undefined|Infinity/);
    const { scene } = templateScenes(guest.job, guest.plan)[0]!;
    const box = scene.bounds;
    const template = toSvg(scene, 'x');
    expect(template).toContain(`width="${Math.round((box.right - box.left) * 1000) / 1000}mm"`);
  });

  it('has no section where there are no holes, and says so', () => {
    expect(() => viewOf(exported(smallestRoom), 'section')).toThrow(NotMade);
  });
});

describe('the visit as ICS', () => {
  const visit = { ...guest, job: { ...guest.job, visit: { start: '2027-03-04T09:30' } } };

  it('is read back with its start, as long as the day takes, and what to bring', () => {
    const event = new ICAL.Event(
      new ICAL.Component(ICAL.parse(toIcs(visit, at)) as unknown[]).getFirstSubcomponent('vevent') ?? undefined,
    );
    expect(event.summary).toBe('Guest room');
    const { year, month, day, hour, minute, zone } = event.startDate;
    expect([year, month, day, hour, minute]).toEqual([2027, 3, 4, 9, 30]);
    // the time where the room is, in whatever zone that lies
    expect(zone.tzid).toBe('floating');
    expect(event.duration.toSeconds() / 60).toBe(Math.round(guest.plan.day!.minutes));
    expect(event.description).toContain('To bring:');
    expect(event.description.match(/^- /gm)).toHaveLength(guest.plan.day!.pack.length);
    expect(toIcs(visit, at)).toContain('DTSTAMP:20270304T100000Z');
  });

  it('without a visit is not made, and says what is lacking', () => {
    expect(() => toIcs(guest, at)).toThrow('visit.start');
  });
});

describe('tables as CSV', () => {
  const rows = (text: string) => parse(text, { columns: true }) as Record<string, string>[];

  it('have every hole and every part as the plan has them', () => {
    const holes = rows(toCsv(guest, 'holes'));
    expect(holes.map((r) => [r.id, Number(r.x), Number(r.y), Number(r.depth), r.into])).toEqual(
      guest.plan.holes!.map((h) => [h.id, h.x, h.y, h.depth, h.into]),
    );
    const parts = rows(toCsv(guest, 'parts'));
    expect(parts.map((r) => [r.what, r.kind, Number(r.count), Number(r.spare)])).toEqual(
      guest.plan.scheme!.parts.map((p) => [p.what, p.kind, p.count, p.spare]),
    );
    expect(() => toCsv(exported(smallestRoom), 'holes')).toThrow(NotMade);
  });

  it('hold no formula, and a number below nothing stays a number', () => {
    const parts = [{ ...guest.plan.scheme!.parts[0]!, id: '=HYPERLINK("x")' }];
    const scheme = { ...guest.plan.scheme!, parts };
    expect(rows(toCsv({ ...guest, plan: { ...guest.plan, scheme } }, 'parts'))[0]!.id).toBe('\'=HYPERLINK("x")');
    const left = rows(toCsv(guest, 'holes')).map((r) => r.fromCentre!);
    expect(left.some((v) => /^-\d/.test(v))).toBe(true);
  });
});

describe('a printed template', () => {
  it('is used within a millimetre of its span, else printed anew at another scale', () => {
    const { span } = outermost(guest.plan.holes!)!;
    const [a, , , d] = guest.plan.holes!;
    expect(span).toBeCloseTo(Math.hypot(a!.x - d!.x, a!.y - d!.y), 6);
    expect(printScale(400, 400.9)).toMatchObject({ fits: true });
    expect(printScale(400, 388)).toEqual({ fits: false, printAt: (100 * 400) / 388 });
    expect(printScale(400, 401.1).fits).toBe(false);
  });
});

import type { Hole, Job, Plan } from '@steddo/contract';
import { roomFace, sectionScene, type Box } from '@steddo/drawing';
import {
  bitText,
  buildName,
  careLines,
  checksText,
  certainText,
  cutLine,
  dayStepText,
  findingText,
  fixingName,
  governsText,
  heightRuleName,
  holdLine,
  holeName,
  intoName,
  leadLine,
  leftWith,
  levelLine,
  levelWord,
  openText,
  partFrom,
  partText,
  pictureOf,
  readingText,
  resultName,
  saidWord,
  screwSize,
  setLine,
  shareText,
  skinLine,
  slackText,
  travelText,
  wallTitle,
  wordingFor,
  workingLine,
  type Wording,
} from '@steddo/text';
import type { Exported } from './roomAndPlan';
import type { Paper } from './paper';
import type { SheetFonts } from './paperDoc';
import { SheetFlow } from './sheetFlow';

/** For the hand that drills, for whoever lives there, for the files. */
export const SHEET_PARTS = ['sheet', 'customer', 'record'] as const;
export type SheetPart = (typeof SHEET_PARTS)[number];

export interface SheetOptions {
  paper: Exclude<Paper, 'roll'>;
  /** One of its parts by itself; absent: all three. */
  part?: SheetPart | undefined;
  fonts: SheetFonts;
  /** When it was made. */
  at: Date;
}

const CAUTION =
  'A check of arithmetic on what was entered, not an engineer’s approval. Follow the maker’s leaflet and local codes; fixed wiring, gas and structure are for licensed trades. If in doubt, do not drill.';

/** The job's sheet, the customer's page and the record, or one of them, as a tagged PDF headed by the room's title. */
export async function toSheet(exported: Exported, { paper, part, fonts, at }: SheetOptions): Promise<Uint8Array> {
  const { title } = exported.job;
  const sheet = new SheetFlow({ title, fonts, at }, paper);
  const say = wordingFor(exported.job);
  SHEET_PARTS.filter((p) => part === undefined || p === part).forEach((p, i) => {
    if (i > 0) sheet.newPage();
    PAGES[p](sheet, exported, say);
  });
  return sheet.finish(title);
}

const PAGES: Record<SheetPart, (sheet: SheetFlow, exported: Exported, say: Wording) => void> = {
  sheet: jobSheet,
  customer: customerPage,
  record: recordPage,
};

const DRAWING_MM = 96;
const SECTION_MM = 62;

function jobSheet(sheet: SheetFlow, exported: Exported, say: Wording): void {
  const { job, plan } = exported;
  sheet.title(job.title);
  sheet.text(`${saidWord(plan).toUpperCase()}. ${setLine(job, say)}.`, 'bold');
  sheet.text(
    `${job.mount ? `Mount: ${job.mount.name}. ` : 'No mount is picked. '}Wall: ${buildName(job.room.wall.build.kind)}, ${say.length(job.room.wall.width)} wide, ${say.length(job.room.wall.height)} high.`,
  );
  const scene = roomFace(job, plan, 'holes');
  sheet.drawing(scene, scene.bounds, {
    alt: `the wall with its marks: ${job.title}`,
    height: DRAWING_MM,
    stands: 'floor',
  });
  numbers(sheet, plan, say);
  holes(sheet, exported, say);
  boxAndSkin(sheet, plan, say);
  section(sheet, exported);
  loads(sheet, plan, say);
  parts(sheet, plan, say);
  cautions(sheet, plan, say);
  notes(sheet, job);
  sheet.small(`${checksText(plan)}. ${CAUTION}`);
}

/** The three numbers with the sums that made them. */
function numbers(sheet: SheetFlow, { marks = [] }: Plan, say: Wording): void {
  const shown = ['bottom', 'centre', 'hook'].flatMap((id) => marks.find((m) => m.id === id) ?? []);
  if (shown.length === 0) return;
  sheet.heading('Heights');
  for (const m of shown)
    sheet.text(`${m.id}: ${say.length(m.fromFloor)} from the floor (${workingLine(m.workings.fromFloor, say)})`);
}

function holes(sheet: SheetFlow, { plan }: Exported, say: Wording): void {
  const all = plan.holes ?? [];
  sheet.heading('Holes, in the order in which they are drilled');
  if (all.length === 0) {
    sheet.text('There are no holes yet: what is lacking stands under the cautions.');
    return;
  }
  const marks = new Map((plan.marks ?? []).map((m) => [m.id, m]));
  const far = plan.corner ? 'from the left, or the corner' : 'from the left';
  sheet.table(
    [
      { name: 'hole', share: 20 },
      { name: 'up', share: 13 },
      { name: far, share: 13 },
      { name: 'into', share: 12 },
      { name: 'with', share: 20 },
      { name: 'bit, deep', share: 15 },
      { name: 'how sure', share: 14 },
    ],
    all.map((h) => [
      `${h.wall && h.wall !== 'main' ? `${wallTitle(h.wall)}: ` : ''}${holeName(h, all)}${h.done ? ', drilled' : ''}`,
      say.length(h.y),
      say.length(marks.get(h.id)?.fromLeft ?? h.x),
      intoName(h.into),
      fixingLine(h, say),
      `${bitText(h.bit, say)}, ${say.length(h.depth)}`,
      certainText(h),
    ]),
  );
}

const fixingLine = ({ fixing, packing }: Hole, say: Wording): string =>
  [
    `${fixingName(fixing.kind)} ${screwSize(fixing.diameter, fixing.length, say)}`,
    ...(packing > 0 ? [`through ${say.length(packing)} of packing`] : []),
  ].join(', ');

function boxAndSkin(sheet: SheetFlow, { recess, vehicle }: Plan, say: Wording): void {
  if (recess) {
    sheet.heading('Cut list of the box');
    sheet.text(`First, small: ${cutLine(recess.first, say)}`);
    sheet.text(`Outline: ${cutLine(recess.cut, say)} ${say.length(recess.cut.depth)} deep.`);
    recess.steps.forEach((s, i) => {
      const words = dayStepText(s.id);
      sheet.small(`${i + 1}. ${words.name}${s.noReturn ? ' (no way back from here)' : ''}. ${words.look}`);
    });
  }
  const line = vehicle && skinLine(vehicle, say);
  if (line) sheet.text(line, 'bold');
}

/** A cut through the plate, where there is packing, a thin wall or more than one build. */
function section(sheet: SheetFlow, { job, plan }: Exported): void {
  const asked = (plan.packing?.length ?? 0) > 0 || plan.vehicle !== undefined || plan.scheme?.kind === 'mixed';
  const scene = asked ? sectionScene(job, plan) : undefined;
  if (!scene) return;
  sheet.heading('Section through the plate', SECTION_MM);
  const box: Box = scene.bounds;
  sheet.drawing(scene, box, {
    alt: 'a cut through the plate, its screws and the wall',
    height: SECTION_MM,
    stands: 'middle',
  });
}

function loads(sheet: SheetFlow, { loads: held, holes: all = [] }: Plan, say: Wording): void {
  if (!held) return;
  sheet.heading('What each fastener has to hold');
  sheet.table(
    [
      { name: 'hole', share: 24 },
      { name: 'pulled', share: 14 },
      { name: 'of', share: 14 },
      { name: 'across', share: 14 },
      { name: 'of', share: 14 },
      { name: 'used', share: 10 },
      { name: 'gives first', share: 28 },
    ],
    held.fasteners.map((f) => {
      const hole = all.find((h) => h.id === f.hole);
      return [
        hole ? holeName(hole, all) : f.hole,
        say.force(f.tension),
        say.force(f.allowableTension),
        say.force(f.shear),
        say.force(f.allowableShear),
        shareText(f.utilisation),
        governsText(f.governs),
      ];
    }),
  );
}

function parts(sheet: SheetFlow, { scheme }: Plan, say: Wording): void {
  const all = scheme?.parts ?? [];
  if (all.length === 0) return;
  sheet.heading('Parts and bits');
  for (const p of all) sheet.text(`${partText(p, say)} (${partFrom(p.from)})`);
}

function cautions(sheet: SheetFlow, { findings }: Plan, say: Wording): void {
  const said = findings.filter((f) => f.level !== 'info');
  if (said.length === 0) return;
  sheet.heading('Cautions');
  for (const f of said)
    sheet.text(`${levelWord[f.level].toUpperCase()}: ${findingText(f, say)}${f.acknowledged ? ' Acknowledged.' : ''}`);
}

function notes(sheet: SheetFlow, { record }: Job): void {
  const all = record?.notes ?? [];
  if (all.length === 0) return;
  sheet.heading('Notes');
  for (const n of all) sheet.text(typeof n === 'string' ? n : n.text);
}

/** For whoever lives there: what was agreed, what holds it, how to treat it, what is open. */
function customerPage(sheet: SheetFlow, { job, plan, pictures }: Exported, say: Wording): void {
  sheet.title(job.title);
  sheet.text('For the customer', 'bold');
  const up = (id: string) => plan.marks?.find((m) => m.id === id)?.fromFloor;
  const [bottom, centre, top] = [up('bottom'), up('centre'), up('top')];
  sheet.heading('Height');
  sheet.text(
    centre === undefined || bottom === undefined || top === undefined
      ? 'No height has been agreed yet.'
      : `By the rule “${heightRuleName(job.aim.height)}”: centre ${say.length(centre)} from the floor, from ${say.length(bottom)} to ${say.length(top)}.`,
  );
  const shown = job.photos?.findLast((p) => p.drawnOn !== undefined && pictures?.has(p.id));
  if (shown) {
    sheet.heading('How it looks');
    const caption = 'the set on a photograph of the wall: a drawing to scale, not a promise';
    sheet.pictures([{ caption, bytes: pictures?.get(shown.id) }]);
  }
  const held = holdLine(plan, say);
  if (held) {
    sheet.heading('What holds it');
    sheet.text(held);
  }
  sheet.heading('Care');
  for (const line of careLines(job, plan, say)) sheet.text(line);
  if (plan.vehicle) {
    sheet.heading('Before it is driven');
    for (const check of plan.vehicle.travel) sheet.text(travelText(check));
  }
  sheet.heading('Left with you');
  for (const line of leftWith(job)) sheet.text(line);
  sheet.heading('Still open');
  const open = plan.day?.open ?? [];
  if (open.length === 0) sheet.text(job.record?.done ? 'Nothing.' : 'The job is not done yet.');
  for (const o of open) sheet.text(openText(o));
  sheet.small(CAUTION);
}

/** As it was built: what the drill met, how level it is, what was done. */
function recordPage(sheet: SheetFlow, { job, plan, pictures }: Exported, say: Wording): void {
  sheet.title(job.title);
  sheet.text(job.record?.done ? `Record, done ${job.record.done}` : 'Record; the job is not done yet', 'bold');
  sheet.heading('Holes as drilled');
  const drilled = job.drilled ?? [];
  if (drilled.length === 0) sheet.text('None yet.');
  else
    sheet.table(
      [
        { name: 'hole', share: 12 },
        { name: 'up', share: 16 },
        { name: 'from the left', share: 16 },
        { name: 'came out', share: 34 },
        { name: 'when', share: 26 },
      ],
      drilled.map((d) => [
        d.hole,
        say.length(d.y),
        `${say.length(d.x)}${d.wall && d.wall !== 'main' ? ` (${wallTitle(d.wall)})` : ''}`,
        resultName(d.result),
        d.at ?? '',
      ]),
    );
  const looks = job.looks ?? [];
  if (looks.length > 0) {
    sheet.heading('Seen in the wall');
    for (const k of looks)
      sheet.text(
        `${k.found === 'clear' ? 'clear' : k.found} at ${say.length(k.x)} from the left, ${say.length(k.y)} up`,
      );
  }
  const readings = job.levelReadings ?? [];
  if (readings.length > 0) {
    sheet.heading('Level');
    for (const r of readings) sheet.text(readingText(r, say));
    if (plan.level) sheet.text(levelLine(plan.level.corrections));
  }
  const leads = plan.leads ?? [];
  if (leads.length > 0) {
    sheet.heading('Leads');
    for (const l of leads) sheet.text(`${l.what}: ${slackText(l, say)}, ${leadLine(l)}`);
  }
  picturesOf(sheet, { job, plan, pictures }, say);
  const done = (plan.day?.steps ?? []).filter((s) => s.done);
  sheet.heading('Steps done');
  sheet.text(
    done.length === 0 ? 'None is ticked.' : done.map((s) => dayStepText(s.id, { mount: job.mount }).name).join('; '),
  );
  sheet.small(CAUTION);
}

function picturesOf(sheet: SheetFlow, { job, plan, pictures }: Exported, say: Wording): void {
  const photos = job.photos ?? [];
  if (photos.length === 0) return;
  sheet.heading('Pictures');
  sheet.pictures(
    photos.map((p) => {
      const bytes = pictures?.get(p.id);
      const caption = [
        pictureOf(p.of, { job, plan }, say),
        ...(p.at ? [p.at.slice(0, 10)] : []),
        ...(bytes ? [] : ['the picture is not here']),
      ].join(', ');
      return { caption, bytes };
    }),
  );
}

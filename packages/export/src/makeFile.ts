import type { Paper } from './paper';
import type { SheetFonts } from './paperDoc';
import { drawnOf, type Drawn, type Exported } from './roomAndPlan';
import { toCsv, type Table } from './toCsv';
import { toDxf } from './toDxf';
import { toIcs } from './toIcs';
import { toSheet, type SheetPart } from './toSheet';
import { toSvg } from './toSvg';
import { toTemplate } from './toTemplate';

/** Which file, and what of it can be chosen. */
export type Asked =
  | { to: 'pdf'; paper: Exclude<Paper, 'roll'>; part?: SheetPart | undefined }
  | { to: 'template'; paper: Paper; width?: number | undefined }
  | { to: 'svg' | 'dxf'; view: Drawn }
  | { to: 'csv'; what: Table }
  | { to: 'ics' };

export interface MakeOptions {
  /** Read only for what is printed. */
  fonts: () => SheetFonts | Promise<SheetFonts>;
  /** When it was made. */
  at: Date;
}

/** A file of a room, for the app and the command line alike; `NotMade` where the plan does not have what it needs. */
export async function makeFile(
  exported: Exported,
  asked: Asked,
  { fonts, at }: MakeOptions,
): Promise<Uint8Array | string> {
  switch (asked.to) {
    case 'pdf':
      return toSheet(exported, { paper: asked.paper, part: asked.part, fonts: await fonts(), at });
    case 'template':
      return toTemplate(exported, { paper: asked.paper, width: asked.width, fonts: await fonts(), at });
    case 'svg':
      return toSvg(drawnOf(exported, asked.view), exported.job.title);
    case 'dxf':
      return toDxf(drawnOf(exported, asked.view));
    case 'csv':
      return toCsv(exported, asked.what);
    case 'ics':
      return toIcs(exported, at);
  }
}

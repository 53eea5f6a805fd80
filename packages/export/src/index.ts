/** What is computed, out of the phone: paper, drawings, calendar, tables. From plan and scene, never from a screen. */
export { DRAWN, NotMade, VIEWS, viewOf, type Drawn, type Exported, type View } from './roomAndPlan';
export { makeFile, type Asked } from './makeFile';
export { PAPERS, type Paper } from './paper';
export { type SheetFonts } from './paperDoc';
export { SPAN_WITHIN_MM, outermost, printScale, templateSpans, type PrintScale, type TemplateSpan } from './printScale';
export { TABLES, toCsv, type Table } from './toCsv';
export { toDxf } from './toDxf';
export { toIcs } from './toIcs';
export { SHEET_PARTS, toSheet, type SheetPart } from './toSheet';
export { toSvg } from './toSvg';
export { ROLL_MM, toTemplate } from './toTemplate';

/** Sheets of paper that lie about on site, upright, mm: ISO 216 and ANSI/ASME Y14.1, from memory. */
export const SHEETS = {
  a4: { width: 210, height: 297 },
  letter: { width: 215.9, height: 279.4 },
} as const;

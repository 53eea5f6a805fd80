/** Sizes that are taken when nobody has measured them; each stays a guess. */

/** Centre to centre of studs when nobody has said, mm (16 in). Common practice. */
export const STUD_SPACING_MM = 406.4;

/** Thickness of a set when nobody has measured it, mm; only enters the angles. Ours. */
export const SET_THICKNESS_MM = 60;

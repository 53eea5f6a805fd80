/** Facts of walls and of the tools that look into them, which the inference and the simulated tools share. */

/** Width of a stud, mm (1 1/2 in). Common practice. */
export const STUD_WIDTH_MM = 38;

/** Errors of the finders, mm (one standard deviation). Ours. */
export const EDGE_SD_MM = 4;
export const CENTRE_SD_MM = 6;

/** A reading that has nothing to do with a stud, and a probe that misleads: chances. Ours. */
export const SPURIOUS = { edge: 0.05, centre: 0.05, outlet: 0.05, fastener: 0.1 } as const;
export const PROBE_WRONG = 0.02;

/** Pitches of studs: 16 and 24 in, 400 and 600 mm; how true they are set; the odd ones. Ours. */
export const PITCH_PEAKS_MM = [406.4, 609.6, 400, 600] as const;

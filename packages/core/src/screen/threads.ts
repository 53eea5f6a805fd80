/** Metric coarse threads: diameter and pitch, mm (ISO 261, from memory). */
const COARSE_PITCH_MM: Readonly<Record<string, number>> = {
  M3: 0.5,
  M4: 0.7,
  M5: 0.8,
  M6: 1,
  M8: 1.25,
  M10: 1.5,
};

/** Lengths that machine screws are sold in, mm (ISO 888, from memory). */
export const STOCK_LENGTHS_MM: readonly number[] = [
  6, 8, 10, 12, 16, 20, 25, 30, 35, 40, 45, 50, 55, 60, 65, 70, 80, 90, 100,
];

export interface Thread {
  diameterMm: number;
  /** Zero where the pitch of this thread is not in the table. */
  pitchMm: number;
}

/** `threadOf('M6')` is 6 mm across, 1 mm a turn. */
export const threadOf = (name: string): Thread => ({
  diameterMm: Number(name.slice(1)),
  pitchMm: COARSE_PITCH_MM[name] ?? 0,
});

/** Two lengths closer than this are the same length, mm. Far below what any tape shows. */
export const SAME_MM = 1e-6;

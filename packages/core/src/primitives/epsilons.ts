/** Two lengths closer than this are the same length, mm. Far below what any tape shows. */
export const SAME_MM = 1e-6;

/**
 * A screw that is past its slot's end by so much is in it, mm: a hole that is there was planned at the very end of its
 * slot, and its stud's middle is known otherwise by a thousandth now. No drill is as exact.
 */
export const SLOT_END_MM = 0.01;

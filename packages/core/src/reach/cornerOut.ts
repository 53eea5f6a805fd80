/**
 * How far the middle of the set's back stands from the corner, along its bisector, when both its back
 * edges touch the walls at 45 degrees, mm: half its width, for the back and the two walls are a right
 * triangle with equal legs, whose height is half its base. 1118 wide: 559.
 */
export const cornerOut = (widthMm: number): number => widthMm / 2;

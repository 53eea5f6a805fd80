import type { PicturePlace } from '@steddo/core/photo';

/** A surface or a line on a picture, in its pixels; drawn the same on the page and into the picture that is kept. */
export interface Paint {
  points: readonly PicturePlace[];
  colour: string;
  opacity: number;
  /** A line so wide, and no surface. */
  line?: number;
}

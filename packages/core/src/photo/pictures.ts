/** A place in a picture, pixels from its upper left corner. */
export interface PicturePlace {
  u: number;
  v: number;
}

/** A picture's pixels across and down. */
export interface PictureSize {
  width: number;
  height: number;
}

/** A place that was tapped in the picture, and how far off that may be, one standard deviation, pixels. */
export interface Tap extends PicturePlace {
  sd: number;
}

/** A place that was tapped in the picture, and where it is on the wall, mm. */
export interface Tapped extends PicturePlace {
  x: number;
  y: number;
}

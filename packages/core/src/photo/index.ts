/**
 * The wall in a photograph. Beside the rest of the core and not in its index: it stands on matrices, which nothing else
 * does, and a page that opens no photograph does not load them.
 */
export { drawnDoubt, inPicture, onWall, wallPlane, type Measured, type Planed, type WallPlane } from './wallPlane';
export { type Laid, type LaidReference, type PlaneFault } from './laid';
export { bent, lensBend, straightened, type LensBend } from './lens';
export { cameraBefore, frontOfWall, seenAt, type Camera, type CameraFault } from './camera';
export type { PicturePlace, PictureSize, Tap, Tapped } from './pictures';
export { measureBox, type MeasuredBox, type SeenWall } from './measureBox';
export { measureThing, type MeasuredThing } from './measureThing';
export { boxDoubt, told } from './toldMeasure';
export { brightness, greyOf, isDrawn, isFog, type GreyPicture, type PictureTrouble } from './greyPicture';
export { alongEdge, nearestCorner, type Drawn } from './nearestCorner';
export { flattenPicture, type ColourPicture, type FlatAsk } from './flattenPicture';
export { madeUpPicture, type MadeUpAsk, type MadeUpCamera, type TapedUp } from './madeUpPicture';
export { putFromPhoto, type FromPhoto } from './thingFromPhoto';
export { laidInPicture, tapSd } from './laidInPicture';
export { SHEETS } from './references';

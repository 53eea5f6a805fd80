/**
 * The wall in a photograph. Beside the rest of the core and not in its index: it stands on matrices, which nothing else
 * does, and a page that opens no photograph does not load them.
 */
export {
  drawnDoubt,
  inPicture,
  onWall,
  wallPlane,
  type Measured,
  type PicturePlace,
  type PlaneFault,
  type Planed,
  type Tapped,
  type WallPlane,
} from './wallPlane';
export { cameraBefore, seenAt, type Camera, type CameraFault, type PictureSize } from './camera';
export { photoReference, SHEETS, type PhotoReference, type ReferenceKind } from './references';

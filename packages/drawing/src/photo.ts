/** Drawn on a photograph; apart from the index for the same reason as the core's. */
export { faceInPicture, outlinesOf, photoDrawing, type PhotoAsk, type PhotoShape } from './photoDrawing';

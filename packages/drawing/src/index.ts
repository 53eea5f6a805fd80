/** Plan to drawing: lines and labels in mm, pure; for screen and, later, sheets. */
export { faceScene, type FaceExtras, type LabelSet } from './faceScene';
export { bayScene, hiddenScene } from './bayScene';
export { drillScene } from './drillScene';
export { fitScene } from './fitScene';
export { sideScene } from './sideScene';
export { HEAD_MM, aboveScene, floorDepth, floorSides } from './aboveScene';
export { MAP_FAIR_DEG, MAP_GOOD_DEG, type FloorMap, type Swung } from './armShapes';
export { setScene, type SetAsk } from './setScene';
export { screwScene, type ScrewDrawn } from './screwScene';
export { fitView, scaleBar, type View } from './fitView';
export { edgesOf, namedThings } from './namesOf';
export { placeNames, type NamedThing, type NameRules, type PlacedName } from './placeNames';
export { overlap, placeLabels, type PlacedLabel, type PxBox } from './placeLabels';
export { join, type Box, type Label, type Role, type Scene, type Shape } from './scene';
export { mountAboveScene } from './mountAboveScene';
export { mountSideScene } from './mountSideScene';
export { plateScene, type PlateAsk } from './plateScene';

/** The heart of Steddo: pure computation. No screen, no server, no clock, no chance that is not passed in. */

// everything that follows from a job
export { plan, type PlanOptions } from './plan';

// numbers as the trade writes them
export { parseTape, type TapeFault, type TapeReading, type TapeRules } from './units/parseTape';
export { parseAmount, type AmountFault, type AmountReading } from './units/parseAmount';
export { IMPERIAL, METRIC, formatTape, onDivision, tapeOf, tapeParts } from './units/formatTape';
export type { TapeParts, TapeStyle } from './units/formatTape';
export {
  KG_PER_POUND,
  LENGTH_UNITS,
  MM_PER_INCH,
  fromKg,
  fromMm,
  toDeg,
  toKg,
  toMm,
  toRad,
} from './units/convert';
export type { LengthUnit, MassUnit } from './units/convert';

// edits of the job document
export { applyCommand, type Applied, type Command } from './edit/command';
export { chooseHeight } from './edit/chooseHeight';
export { offeredHeights, type Offer } from './offeredHeights';
export { followSchool } from './edit/followSchool';
export { measure, moveBox, moveFloor, removeEntry } from './edit/measure';
export { changedFields } from './edit/changedFields';
export { replaceJob } from './edit/replaceJob';
export { snapBox, type SnapBox, type SnapGuide, type Snapped } from './edit/snapBox';
export {
  EMPTY_HISTORY,
  HISTORY_LIMIT,
  edit,
  stepHistory,
  type History,
  type Step,
} from './edit/history';

// the set, the mount, the wall
export { outlineOf } from './screen/outlineOf';
export { patternClass } from './screen/patternClass';
export { patternPlace, patternRight, patternUp, type PatternPlace } from './screen/patternPlace';
export { stackNeeds, stackScrews } from './screen/stackScrews';
export { spacerNeed } from './screen/spacerNeed';
export { STOCK_LENGTHS_MM, threadOf } from './screen/threads';
export { fitMount } from './mount/fitMount';
export { fitContext, type FitContext } from './mount/fitContext';
export { comparePlaces, placeOf, rankMounts, rankOne, type Place } from './mount/rankMounts';
export { comparedOf, type Compared } from './mount/compareMounts';
export { liftLimitKg, liftPeople } from './mount/liftPeople';
export { turnOf } from './mount/seatRules';
export { toMeasure } from './mount/toMeasure';
export { typeAdvice } from './mount/typeAdvice';
export { combineMarks } from './wall/combineMarks';
export { SCHOOLS } from './placement/schools';
export { plateMayCover, setMayCover } from './placement/itemRules';
export { holeVerdict } from './wall/holeVerdict';
export { eyeOf } from './sight/eyeOf';
export { faceOut } from './sight/viewerAngles';
export { CEILING_GAP_MM, COMFORT_CENTRE_DEG, RECLINE_SHARE, SNAP_MM } from './tolerances';
export { armHoles, slotRows } from './placement/chain';
export { isComfortable } from './sight/isComfortable';
export { pictureDistances } from './sight/pictureDistances';
export { riseOver } from './level/readLevel';

// judgements and workings
export { restsOnGuess } from './guesses';
export type { FindingCode, FindingValues } from './findings';
export { evaluate, leaf, leaves, node } from './working';

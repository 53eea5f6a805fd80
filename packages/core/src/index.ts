/** The heart of Steddo: pure computation. No screen, no server, no clock, no chance that is not passed in. */

// everything that follows from a job
export { plan, PLAN_STEPS, type PlanOptions, type PlanStep } from './plan';
export { newMemory, type Memory } from './memory';

// what proves a plan, by a reader that knows nothing of how it was made
export { checkPlan } from './check/checkPlan';
export { unproved } from './check/obligations';

// what a way on from a stop changes
export { takeWay } from './ways/takeWay';

// numbers as the trade writes them
export { parseTape, type TapeFault, type TapeReading, type TapeRules } from './primitives/parseTape';
export { parseAmount, type AmountFault, type AmountReading } from './primitives/parseAmount';
export { IMPERIAL, METRIC, formatTape, onDivision, tapeOf, tapeParts } from './primitives/formatTape';
export type { TapeParts, TapeStyle } from './primitives/formatTape';
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
} from './primitives/convert';
export type { LengthUnit, MassUnit } from './primitives/convert';

// edits of the job document
export { applyCommand, type Applied, type Command } from './edit/command';
export { freeId } from './edit/freeId';
export type { JobPath } from './edit/jobPath';
export { chooseHeight } from './edit/chooseHeight';
export { offeredHeights, type Offer } from './compare/offeredHeights';
export { isPortrait, patternAt } from './room/hungSides';
export { turnCorner } from './edit/turnCorner';
export { followHeightRule } from './edit/followHeightRule';
export { measure, moveBox, moveFloor, removeEntry } from './edit/measure';
export { changedFields } from './edit/changedFields';
export { replaceJob } from './edit/replaceJob';
export { snapBox, type SnapBox, type SnapGuide, type Snapped } from './edit/snapBox';
export {
  EMPTY_HISTORY,
  HISTORY_LIMIT,
  edit,
  historyOfCommands,
  stepHistory,
  type History,
  type Step,
} from './edit/history';
export { applyChanges, inverted, sameValue, shared, valueAt, type Change, type FieldPath } from './edit/jobTree';
export { changesBetween } from './edit/changesBetween';
export { isPartOf, rebase, thingOf, type Dispute, type Pending, type Rebased } from './edit/rebase';
export { renamed, type Renaming } from './edit/renameIds';

// the set, the mount, the wall
export { outlineOf } from './screen/outlineOf';
export { patternClass } from './screen/patternClass';
export { armsOnBack } from './screen/armsOnBack';
export { patternPlace, patternRight, patternUp, type PatternPlace } from './screen/patternPlace';
export { stackNeeds, stackScrews } from './screen/stackScrews';
export { spacerNeed } from './screen/spacerNeed';
export { STOCK_LENGTHS_MM, threadOf } from './screen/threads';
export { fitMount } from './mount/fitMount';
export { fitContext, type FitContext } from './mount/fitContext';
export { comparePlaces, isRanked, placeOf, rankMounts, rankOne, searchFirst, type RankPlace } from './mount/rankMounts';
export { SCHEMED, schemeRule } from './mount/schemeRule';
export { estimateUtilisation } from './mount/estimateUtilisation';
export { comparedOf, loadOf, mountFacts, type Compared, type MountFacts } from './mount/compareMounts';
export { judgeLift, liftOf, type JudgedLift } from './lift/judgeLift';
export { liftLimitKg } from './lift/liftLimit';
export { platedJob } from './mount/plateVariants';
export { toMeasure } from './mount/toMeasure';
export { typeAdvice } from './mount/typeAdvice';
export { inferStuds, readingsOf, type StudsFound } from './wall/inferStuds';
export { studPly } from './wall/studsOf';
export { holeChance } from './wall/holeChance';
export { probeRoutine, type ProbeStep } from './looks/probeRoutine';
export { COVER_STEPS, guidedLooks, LOOK_STEPS, type GuidedLook, type LookStep } from './looks/guidedLook';
export { hazardsOf } from './wall/hazardZones';
export { lookedAt } from './wall/lookedAt';
export { nextLooks, type NextLooks } from './looks/nextLook';
export { HEIGHT_RULES, heightRulesFor } from './placement/heightRules';
export { bracketsAt, platedMount } from './room/bracketPlate';
export { bayChance } from './recess/boxBay';
export { boxesToCut } from './recess/boxCuts';
export { isVehicle } from './room/roomKind';
export { plateMayCover, setMayCover, outOf } from './room/roomThings';
export { boltState, holeState, holeVerdict } from './wall/holeVerdict';
export { eyeOf } from './sight/eyeOf';
export { faceOut } from './sight/viewerAngles';
export { armHoles, slotRows } from './placement/chain';
export { isComfortable } from './sight/isComfortable';
export { pictureDistances } from './sight/pictureDistances';
export { riseOver } from './level/readLevel';

// what an arm can do
export { armOf, asideOf, foldOffsetOf, jointsFor, moves, reachOf, reachedBy } from './arm/arm';
export type { Arm, Joints } from './arm/arm';
export { armDrawn, furthest, linkagePlaces, outWorking, wayTo, yawWorking } from './arm/armDrawn';
export { coverage, coverageRow, coverageStands, gridOver, leastOff, type FloorGrid } from './reach/coverage';
export { obstaclesAt, standingIn, type Obstacle } from './arm/obstacles';
export { reachModelOf } from './reach/reachPart';
export {
  heldAt,
  nearestPose,
  pivotFor,
  poseOf,
  posed,
  seatAxis,
  seatOff,
  seatsOf,
  type Moved,
  type ReachModel,
  type Seat,
  type SetPoseMm,
} from './arm/reachModel';
export { standAt, type Reach } from './arm/reachTable';
export { bestPose, reachNeeded } from './reach/seatPose';
export { cornersOf, faceOf, type Pose, type SetShape } from './arm/setShape';
export { meetsOnWay, motionTo, turnAt, wallTurn, waysTo } from './arm/sweep';

// instruments, real or simulated, and practice
export { hiddenWall, type HiddenWall, type Run } from './instruments/hiddenWall';
export { seeded } from './instruments/random';
export { edgeSlope, simulatedSlope, steadyAngle, type LevelSample, type LiveLevel } from './instruments/liveLevel';
export { simulated } from './instruments/simulated';
export type { CameraView, FinderKind, Instruments, Pass, Poked, Signal } from './instruments/instruments';
export {
  hasSheet,
  practiceWall,
  practiceWalls,
  SHEET_POKES,
  untouched,
  type PracticeWalls,
} from './practice/practiceWall';
export { followAdvice, passMarks, type Advised } from './practice/followAdvice';
export {
  landsIn,
  practiceScore,
  type PracticeLog,
  type PracticePlace,
  type PracticeScore,
} from './practice/practiceScore';

// the ends of the job
export { stagedNumber, type StagedNumber } from './placement/stagedNumber';
export { leadWay, type LeadWay } from './arm/leadWays';
export { toleranceOf, toleranceOfJob, TOLERANCE_DRAWS } from './tolerance/tolerance';
export { toleranceRun, type ToleranceRun } from './tolerance/drawTolerance';
export type { ToleranceModel } from './tolerance/toleranceModel';

// what holds it
export { N_PER_POUND } from './fixing/lagTables';
export { stockTimber, timberedJob } from './scheme/timberAcross';
export { kitOf, withKit, type Kit } from './fixing/kit';
export { policyOf, type FixingPolicy } from './scheme/ways';
export { FIXING_POLICIES, fixingPolicies, type PolicySays } from './compare/fixingPolicies';

// judgements and workings
export { restsOnGuess } from './room/guesses';
export type { FindingCode, FindingValues } from './primitives/findings';
export { evaluate, leaf, leaves, node } from './primitives/working';
export type { Term } from './primitives/terms';
export { CEILING_GAP_MM } from './placement/heightLimits';
export { COMFORT_CENTRE_DEG } from './sight/isComfortable';
export { RECLINE_SHARE } from './sight/viewerAngles';
export { SNAP_MM } from './edit/snapBox';
export { COVERAGE_STEP_MM } from './reach/coverage';
export { DRILL_SD_MM } from './wall/holeChance';
export { setOutOf, type SetOut } from './fixing/drillSteps';
export { unitOf, USUAL_JOINT_MM } from './wall/markedJoints';
export { POOR_DEG } from './reach/seatServices';
export { FIXING_KINDS } from './fixing/fixingKinds';
export { ITEM_KINDS, ROOM_THINGS } from './room/roomThings';
export { WALL_KINDS } from './room/wallKinds';
export { boardOf, buildsOf, gapOf, mainZones, studBuildOf, wallAt } from './room/wallAt';
export { FACE_STEP_MM, platePlane } from './room/platePlane';
export { plateOf, STUD_DEPTH_MM } from './fixing/fastenerCapacity';
export {
  standOffOf,
  toWall,
  fromWall,
  onSet,
  outlineIn,
  footOf,
  plateStretches,
  cornerOfSet,
  SET_CORNERS,
  type CornerSet,
  type InCorner,
  type SetCorner,
  type WallSide,
} from './corner/cornerGeometry';
export { cornerPlace } from './corner/cornerPlace';
export { carryOf, feetOf, headOf } from './corner/cornerFeet';
export { facingJob, mainFromCorner, seatsFacing } from './corner/facingJob';
export { armReach } from './corner/mountInCorner';
export { cornerAngleOf, cornerSideOf, hangsIn, isCorner, roomKindOf, CORNER_DEG } from './room/roomKind';
export { holeThere, mainWallJob, sideWallJob, SIDE_WALL_MM } from './room/wallView';
export { sideWallOf } from './twoWalls/sideWall';
export { wallSeen, type WallSeen } from './twoWalls/wallSeen';
export { sideWallCommand } from './edit/sideWallCommand';
export { looksOnWall } from './compare/looksOnWall';

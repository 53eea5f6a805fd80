/** The open formats and the API. One Zod schema per format; the JSON Schemas in docs/ come from these. */
export { job, screen } from './job';
export { catalogue, crewKit, mount, anchor } from './catalogue';
export { plan } from './plan';
export * as api from './api';
export * as crew from './crew';
export { PAIRING_LENGTH, PAIRING_LETTERS, PASSCODE } from './crew';
export type {
  CrewDevice,
  CrewMember,
  CrewReply,
  CustomerLink,
  EnterRequest,
  MadeLink,
  PairingReply,
  ShownRoom,
} from './crew';
export {
  CATALOGUE_COLUMNS,
  catalogueFromRows,
  catalogueReader,
  separatorOf,
  catalogueRows,
  type CatalogueReader,
} from './catalogueCsv';
export { catalogueFromJson } from './catalogueJson';
export { checkFile } from './faults';
export { faultOfPicture, jpegHead, picturePath, type JpegHead } from './pictureFile';
export { PICTURE } from './photo';
export { CATALOGUE_BOUNDS, JOB_BOUNDS, MOST_FAULTS, beyondBounds, pathText, shortened, type Bounds } from './bounds';

export type { Checked } from './faults';
export type { Photo, PhotoPlane, PhotoReference, PhotoTap } from './photo';
export type {
  ChangesReply,
  Fault,
  MountHistory,
  PieceReply,
  PieceRequest,
  RevisionHead,
  RevisionList,
  RoomHead,
  RoomHeads,
  RoomList,
  RoomReply,
  RoomSummary,
  SavedReply,
  SaveMount,
  SaveRequest,
  StaleReply,
} from './api';
export { BOX_STEP_IDS } from './steps';
export type { BoxNeed, RecessPlan } from './recessPlan';
export type { TravelCheck, VehiclePlan } from './vehiclePlan';
export type { CentreRule, Drilled, Job, LevelReading, Measured, Screen } from './job';
export type { Build, FloorThing, Item, ItemKind, RoomKind, Rule, Viewer, Zone } from './room';
export type { Evidence, Look, Scan } from './evidence';
export type {
  Anchor,
  Bit,
  Catalogue,
  CatalogueScreen,
  CrewKit,
  Fixing,
  Lag,
  Mount,
  MountType,
  Plate,
  Slot,
} from './catalogue';
export type { BuildKind, Extent, HeightRule, Side, Units } from './parts';
export type {
  Advice,
  Conflict,
  Correction,
  Distances,
  Finding,
  Fit,
  FitOf,
  FitRule,
  Height,
  FitLevel,
  Level,
  LevelGroup,
  LevelResult,
  Mark,
  Placement,
  Plan,
  Ranked,
  Stage,
  Stud,
  Verdict,
  ViewerAngles,
} from './plan';
export type { Guess, Obligation, ObligationId } from './checkedPlan';
export type { Misfit, ScrewCheck, Stack } from './screwPlan';
export type { ReachPlan, SeatPose } from './reachPlan';
export type {
  Backing,
  Course,
  HazardSeen,
  Hazards,
  HazardZone,
  HoleHazard,
  Looking,
  NextLook,
  Nogging,
} from './wallPlan';
export type { BenchClearance, BenchPlan } from './benchPlan';
export type { CornerFoot, CornerPlan, SideWallPlan } from './cornerPlan';
export type { MantelHole, MantelPlan, Packing, TimberPlan } from './facesPlan';
export type {
  DrillStep,
  FastenerLoad,
  Hole,
  HoleInto,
  Remedy,
  Light,
  LoadCasePlan,
  Loads,
  Part,
  SchemeKind,
  SchemePlan,
} from './schemePlan';
export { STEP_IDS } from './steps';
export { TOLERANCE_SOURCES } from './dayPlan';
export type { BoxStepId, StepId, TickId, Who } from './steps';
export type { DayPlan, DayStep, HangPlan, LeadPlan, Packed, TolerancePlan, ToleranceSource } from './dayPlan';
export type { Op, Unit, Working } from './working';

/** Findings, workings, marks and faults as sentences: one place for screen, print and speech. */
export { bitText, screwSize } from './bits';
export { CHECKS, checkNumbers } from './proofFindings';
export { checksText, countText, saidOf, saidWord, type Said } from './verdict';
export { findingText, measuredName, small, stopText } from './findings';
export { fitText } from './fits';
export { amountFaultText, tapeFaultText } from './faults';
export {
  bindingName,
  buildName,
  distanceRule,
  holeList,
  holeName,
  holeNumber,
  itemName,
  levelWord,
  markName,
  planStepName,
  heightRuleName,
  heightRuleNeeds,
  stageName,
  typeName,
  verdictWord,
} from './names';
export { fieldName, sourceWords } from './paths';
export { bothSides, changedThing, changedValue, touchedWords } from './changes';
export { GLOSSARY, sentenceFor, wordsIn, type GlossaryTerm, type SaidPart } from './glossary';
export { planFile } from './planFile';
export { offText, poseText, tiltText } from './reach';
export { wordedBy, wordingFor } from './wordingFor';
export { shareText, capital, rounded, type Wording } from './wording';
export { termOf } from './terms';
export { wallName, wallTitle } from './names';
export { opWord, workingLine } from './workings';
export { classText, misfitText, screwName, washersText } from './screws';
export { COMPARED_ROWS, adviceText, mountLines, rankedLine, setLine, type ComparedRow } from './mounts';
export { correctionAmount, correctionText, correctionWay, levelLine, readingText } from './level';
export {
  careLines,
  holdLine,
  leadLine,
  leftWith,
  openText,
  packText,
  poseLine,
  routeName,
  slackText,
  slideText,
  sourceName,
  toleranceAdvice,
  whenName,
} from './ends';
export { benchThing } from './benchFindings';
export { roomKindName } from './cornerFindings';
export { dayStepText, minutesText, whoName, type StepFacts } from './steps';
export { comfortText, customerNotes, offerTitle } from './customer';
export { pictureOf } from './pictures';
export {
  CORNER_NAMES,
  MOST_DRAWN_DOUBT_MM,
  MOST_MEASURED_DOUBT_MM,
  bendText,
  drawnDoubtText,
  fromPhotoText,
  measuredText,
  photoFault,
  photoTrouble,
  referenceName,
  standsOutText,
  tooDoubtfulText,
  type ReferenceWhat,
} from './photo';
export { enoughText, FELT_TEXT, lookStepText, nextLookText, nextLookWhy, seenName, servedName, wayName } from './looks';
export {
  changedHoles,
  remedyText,
  unitText,
  setOutName,
  setOutText,
  fixingName,
  fixingPolicyText,
  intoName,
  partFrom,
  partText,
  schemeName,
  schemePrice,
  stepText,
} from './holds';
export { governsText } from './holdFindings';
export { markWords, resultName, spokenMark, type MarkWords } from './atTheWall';
export {
  behindChoice,
  certainName,
  certainText,
  coverChoice,
  bondChoice,
  masonryChoice,
  evidenceName,
  lookedName,
  alongFrom,
  markedName,
  markKindName,
  stateChoice,
  toolName,
  wallChoice,
  type MarkKind,
} from './wallWords';
export { MANTEL_AFTER, MANTEL_BEFORE, mantelWords, type MantelWords } from './mantel';
export { timberAfter, timberScrewText, timberSizeText, timberWords, type TimberWords } from './timber';
export { boxNeedText, boxNeedsLine, cutLine, skinLine, travelText } from './boxWords';

/** Findings, workings, marks and faults as sentences: one place for screen, print and speech. */
export { bitText, findingText, knownFindings, small } from './findings';
export { fitText } from './fits';
export { amountFaultText, tapeFaultText } from './faults';
export {
  bindingName,
  buildName,
  holeName,
  levelWord,
  markName,
  schoolName,
  stageName,
  typeName,
  verdictWord,
} from './names';
export { fieldName, sourceWords } from './paths';
export { planFile } from './planFile';
export { rounded, sayFor, type Say } from './say';
export { knownTerms, termOf } from './terms';
export { opWord, workingLine } from './workings';

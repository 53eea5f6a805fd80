import type { Finding, Job, Plan } from '@steddo/contract';
import type { Outline } from './outlineOf';
import { classFindings, patternClass } from './patternClass';
import { threadFindings } from './screwFindings';

/** The set by itself: its outline and the class of its pattern. */
export function screenPart({ screen }: Job, outline: Outline): { section: Plan['screen']; findings: Finding[] } {
  const { width, height, guessed } = outline;
  return {
    section: {
      patternClass: patternClass(screen.pattern, screen.mass).name,
      outline: { width: width.value, height: height.value, guessed },
      workings: { width, height },
    },
    findings: [...outline.findings, ...classFindings(screen), ...threadFindings(screen)],
  };
}

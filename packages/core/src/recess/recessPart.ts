import type { Finding, Hazards, Item, Job, Nogging, RecessPlan, Working } from '@steddo/contract';
import { finding } from '../primitives/findings';
import type { Part } from '../primitives/part';
import { present } from '../primitives/present';
import { leaf, minus, named, sum } from '../primitives/working';
import { roomKindOf } from '../room/roomKind';
import { boardOf, gapOf, studBuildOf } from '../room/wallAt';
import { STUD_DEPTH_MM } from '../fixing/fastenerCapacity';
import type { StudsFound } from '../wall/inferStuds';
import { lookedAt } from '../wall/lookedAt';
import { boxBay, openChance, type BoxBay } from './boxBay';
import { boxesToCut, firstCut } from './boxCuts';
import { boxFindings, type BoxKnown } from './boxFindings';
import { boxSteps } from './boxSteps';
import { isTicked } from './ticked';

/** A tape through the opening to a face was laid so near to where that face is, mm. Ours. */
const TAPED_NEAR_MM = 25;

export interface RecessInput {
  job: Job;
  found: StudsFound;
  noggings: readonly Nogging[];
  /** Absent where nothing is expected and nothing was seen. */
  hazards: Hazards | undefined;
}

const NOTHING: Hazards = { zones: [], seen: [] };

/**
 * A box that is to be let into the wall, whatever hangs over it: its bay and how sure that is, the opening that is made
 * first, what is sawn, and the order with what each step still lacks. The section is of the first box; what there is
 * to say is of each.
 */
export function recessPart({ job, found, noggings, hazards = NOTHING }: RecessInput): Part<RecessPlan> {
  const boxes = boxesToCut(job.room.objects);
  if (boxes.length === 0)
    return { findings: roomKindOf(job) === 'recess' ? [finding('box-needed', 'todo', 'room', {})] : [] };
  const made = boxes.map((box) => {
    const bay = boxBay(box, found);
    const behind = behindOf(job, box);
    const known: BoxKnown = {
      ...{ job, box, bay, noggings, hazards, behind: behind.value },
      chance: openChance(found, box.left, box.right),
      taped: isTaped(job, bay),
      looked: lookedAt(job, found.studs, box),
    };
    return { known, behind };
  });
  const [{ known, behind }] = made as [(typeof made)[number]];
  const sawn = isTicked(job, 'box.saw');
  const findings = made.flatMap((m, i): Finding[] => (i === 0 && sawn ? [] : boxFindings(m.known)));
  return { section: sectionOf(known, behind, found, sawn), findings };
}

function sectionOf(known: BoxKnown, behind: Working, found: StudsFound, sawn: boolean): RecessPlan {
  const { job, box, bay, hazards, chance } = known;
  const { left, right, bottom, top } = box;
  const first = box.cut.first ?? firstCut(box, hazards);
  const firstChance = openChance(found, first.left, first.right);
  const edge = (side: 'left' | 'right' | 'bottom' | 'top') => edgeOf(job, box, side);
  return {
    object: box.id,
    ...(bay
      ? {
          bay: {
            ...{ left: bay.left.value, right: bay.right.value, depth: behind.value + box.cut.depth },
            ...{ chance: bay.chance, sd: bay.sd, margin: bay.margin.value },
          },
        }
      : {}),
    cut: { left, right, bottom, top, depth: box.cut.depth, chance, behind: behind.value, done: sawn },
    first: { ...first, chance: firstChance, done: box.cut.first !== undefined || isTicked(job, 'box.first-cut') },
    steps: boxSteps(known, { box: first, chance: firstChance }),
    workings: {
      ...present({ bayLeft: bay?.left, bayRight: bay?.right, margin: bay?.margin, spreads: bay?.spreads }),
      behind,
      ...{ left: edge('left'), right: edge('right'), bottom: edge('bottom'), top: edge('top') },
      firstLeft: sum('first-cut-left', edge('left'), leaf('first-cut-in', first.left - left, 'mm')),
      firstBottom: sum('first-cut-bottom', edge('bottom'), leaf('first-cut-in', first.bottom - bottom, 'mm')),
    },
  };
}

const edgeOf = ({ guessed = [] }: Job, box: Item, side: 'left' | 'right' | 'bottom' | 'top'): Working => {
  const path = `room.objects.${box.id}.${side}`;
  return leaf(`object-${side}`, box[side], 'mm', { path, guess: guessed.includes(path) });
};

/** Left behind the box: stud and what covers it, less its depth. 89 + 12.7 - 90: 11.7; of a wall that is thinner to its far side, that. */
function behindOf({ room, guessed = [] }: Job, box: BoxKnown['box']): Working {
  const { build, path } = studBuildOf(room.wall);
  const at = (field: 'studDepth' | 'board' | 'gap' | 'depth') => `${path}.${field}`;
  const depth = leaf('box-depth', box.cut.depth, 'mm', { path: `room.objects.${box.id}.cut.depth` });
  const gap = gapOf(build);
  const hollow = sum(
    'bay-depth',
    leaf('stud-depth', build.studDepth ?? STUD_DEPTH_MM, 'mm', {
      path: at('studDepth'),
      guess: build.studDepth === undefined || guessed.includes(at('studDepth')),
    }),
    leaf('board', boardOf(build), 'mm', { path: at('board'), guess: build.board === undefined }),
    ...(gap > 0 ? [leaf('hollow-behind', gap, 'mm', { path: at('gap') })] : []),
  );
  const thin = build.depth !== undefined && build.depth < hollow.value;
  const bay = thin ? named('bay-depth', leaf('wall-depth', build.depth!, 'mm', { path: at('depth') })) : hollow;
  return minus('behind-box', bay, depth);
}

/** Both faces were reached with a tape through the opening. */
function isTaped({ evidence = [] }: Job, bay: BoxBay | undefined): boolean {
  const near = (side: 'left' | 'right', at: number) =>
    evidence.some(
      (e) =>
        e.kind === 'face' && e.side === side && (e.wall ?? 'main') === 'main' && Math.abs(e.x - at) <= TAPED_NEAR_MM,
    );
  return bay !== undefined && near('left', bay.left.value) && near('right', bay.right.value);
}

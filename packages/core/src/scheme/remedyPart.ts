import type { Job, Loads, Remedy, SchemePlan, Verdict, Working } from '@steddo/contract';
import { kitOf } from '../fixing/kit';
import { middleOf } from '../load/fastenerGroup';
import { sidewaysLimits } from '../placement/placeSet';
import { checkFastening } from '../load/checkFastening';
import { asPairs, feasible } from '../primitives/intervals';
import { chooseScheme } from './chooseScheme';
import { remediesFor, type Trouble } from './remedies';
import { hungOf, platesOf, schemePart, settingFor, type SchemeInput, type SchemeMade } from './schemePart';
import { DOUBT_STOP } from './schemeSearch';

/** What came of the chosen holes: their load, where it can be said. */
export interface Outcome {
  made: Partial<SchemeMade>;
  loads?: Loads | undefined;
  verdict?: Verdict | undefined;
}

/** The ways out where something stops the holes; absent where nothing does. */
export function remedyPart(input: SchemeInput, { made, loads, verdict }: Outcome): Remedy[] | undefined {
  const trouble: Trouble | undefined = made.trouble ?? (verdict === 'stop' ? 'load' : undefined);
  const packed = made.unpacked === undefined ? [] : [packedBy(input, made.unpacked)];
  if (!trouble) return packed.length > 0 ? packed : undefined;
  const { frame, mount, found, spot, ranking } = input;
  const { job, centreX, width, height } = frame;
  const bottom = spot.bottom.value;
  const freeX = asPairs(feasible(sidewaysLimits(job, width, { bottom, top: bottom + height.value })));
  const middle = loads && made.holes ? middleOf(made.holes).x : centreX.value;
  const alternatives = made.section?.alternatives ?? [];
  const rest = remediesFor({
    ...{ trouble, job, mount, found, centreX, kit: kitOf(job), ranking, freeX, loads },
    foldedAside: Math.abs(centreX.value - middle),
    onBoard: alternatives.filter((a) => a.kind === 'anchors' || a.kind === 'lags-and-anchors').map(onBoardOf),
    tries: (changed, at) => triedWith(input, changed, at),
  });
  return [...packed, ...rest];
}

/** Packing under what stands back; what goes through it may still be too short. */
function packedBy(input: SchemeInput, by: number): Remedy {
  const { job, centreX } = input.frame;
  const result = triedWith(input, { ...job, choices: { ...job.choices, packing: by } }, centreX);
  return { kind: 'pack', by, result: result ?? { verdict: 'stop' } };
}

const onBoardOf = ({ key, worstUtilisation, stoppedBy }: SchemePlan) => ({
  key,
  utilisation: worstUtilisation,
  verdict: stoppedBy ? ('stop' as const) : ('caution' as const),
});

/** A changed job with the whole search. */
function triedWith(input: SchemeInput, changed: Job, at: Working): Remedy['result'] | undefined {
  const there = { ...input, frame: { ...input.frame, job: changed, centreX: at }, mount: changed.mount ?? input.mount };
  if (changed.choices?.timber) return onTimber(there);
  const setting = settingFor(there, platesOf(there.frame, input.spot, there.mount));
  if ('code' in setting) return undefined;
  const { best } = chooseScheme(setting, hungOf(there.frame, input.spot, there.mount), 0);
  if (!best || best.candidate.way.board || best.candidate.doubt >= DOUBT_STOP) return undefined;
  const { checked } = best;
  return checked.ok ? { utilisation: checked.worst.utilisation, verdict: checked.verdict } : undefined;
}

/** The plate on a timber: the worse of what its screws come to and what the timber's own do. */
function onTimber(there: SchemeInput): Remedy['result'] | undefined {
  const made = schemePart(there);
  const { fastening, timber } = made ?? {};
  if (!fastening || !timber?.load || timber.load.verdict === 'stop') return undefined;
  const checked = checkFastening(fastening, undefined, there.yieldTable);
  if (!checked.ok || checked.verdict === 'stop') return undefined;
  const utilisation = Math.max(checked.worst.utilisation, timber.load.utilisation);
  return { utilisation, verdict: checked.verdict === 'go' ? timber.load.verdict : checked.verdict };
}

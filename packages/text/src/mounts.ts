import type { Advice, BuildKind, Job, Mount, Ranked } from '@steddo/contract';
import { loadOf, mountFacts, type Compared, type MountFacts } from '@steddo/core';
import { fitText } from './fits';
import { buildName, typeName, verdictWord } from './names';
import { rounded, shareText, type Wording } from './wording';

/** What the seats ask for, and why. */
export function adviceText(advice: Advice, say: Wording): string {
  const seat = advice.viewer === undefined ? '' : say.thing(advice.viewer);
  const across = advice.across === undefined ? undefined : say.degrees(Math.abs(advice.across));
  const tilt = advice.tiltNeeded === undefined ? undefined : say.degrees(Math.abs(advice.tiltNeeded));
  const out =
    advice.reachNeeded === undefined
      ? ''
      : `, and the set has to come ${say.length(advice.reachNeeded)} out to turn there`;
  switch (advice.type) {
    case 'full-motion':
      return `The seats ask for full motion: ${seat} is ${across ?? ''} to the side${out}.`;
    case 'tilt':
      return `The seats ask for tilt: ${tilt ?? ''} of it would face them${across ? `, and nobody sits more than ${across} to the side` : ''}.`;
    case 'fixed':
      return `A fixed mount serves the seats${across ? `: nobody sits more than ${across} to the side` : ''}${tilt ? `${across ? ', and' : ':'} ${tilt} of tilt is too little to miss` : ''}.`;
  }
}

const LACKING = '–';
type Kind = 'length' | 'degrees' | 'mass' | 'plain';

function shown(value: number | undefined, kind: Kind, say: Wording): string {
  if (value === undefined) return LACKING;
  if (kind === 'length') return say.length(value);
  if (kind === 'degrees') return say.degrees(value);
  return kind === 'mass' ? say.mass(value) : rounded(value, 2);
}

interface Row<T> {
  name: string;
  text: (of: T, say: Wording) => string;
}
export type ComparedRow = Row<Compared>;

const row = <T>(name: string, of: (c: T) => number | undefined, kind: Kind): Row<T> => ({
  name,
  text: (c, say) => shown(of(c), kind, say),
});

/** What a label says, in the order in which installers ask. */
const LABEL_ROWS: readonly Row<MountFacts>[] = [
  row('off the wall, folded', (c) => c.folded, 'length'),
  row('out, at most', (c) => c.extended, 'length'),
  row('tilts down', (c) => c.tiltDown, 'degrees'),
  row('tilts up', (c) => c.tiltUp, 'degrees'),
  row('turns, each way', (c) => c.swivel, 'degrees'),
  row('set slides, each way', (c) => c.slide, 'length'),
  row('trim after hanging', (c) => c.trim, 'length'),
  row('rolls level', (c) => c.roll, 'degrees'),
  row('studs', (c) => c.studs, 'plain'),
];

/** The rows of the comparison. */
export const COMPARED_ROWS: readonly ComparedRow[] = [
  { name: 'verdict', text: (c) => verdictWord[c.verdict] },
  { name: 'type', text: (c) => typeName[c.type] },
  {
    name: 'its fixings have',
    text: ({ load }) => (load === undefined ? LACKING : `${shareText(load)} of what they may`),
  },
  ...LABEL_ROWS,
  row('mass to spare', (c) => c.massMargin, 'mass'),
  row('price', (c) => c.price, 'plain'),
];

/** A mount by itself, without a set to hold against it; what its label does not say is left out. */
export function mountLines(mount: Mount, say: Wording): { name: string; text: string }[] {
  const { screenSize, pattern, walls } = mount;
  const extent = ({ width, height }: Mount['pattern']['min']) => `${rounded(width, 1)} x ${rounded(height, 1)}`;
  const facts = mountFacts(mount);
  return [
    { name: 'carries at most', text: say.mass(mount.maxMass) },
    { name: 'sets', text: `${say.diagonal(screenSize.min)} to ${say.diagonal(screenSize.max)}` },
    { name: 'patterns', text: `${extent(pattern.min)} to ${extent(pattern.max)} mm` },
    { name: 'walls', text: (Object.keys(walls) as BuildKind[]).map(buildName).join(', ') },
    ...LABEL_ROWS.map((r) => ({ name: r.name, text: r.text(facts, say) })).filter((r) => r.text !== LACKING),
    ...(facts.price === undefined ? [] : [{ name: 'price', text: rounded(facts.price, 2) }]),
  ];
}

/** A row of the list: what fails nearest to passing, or what it has to spare; the studs it needs; what its fixings have to hold. */
export function rankedLine(ranked: Ranked, { studs }: Pick<Mount, 'studs'>, onStuds: boolean, say: Wording): string {
  const load = loadOf(ranked);
  const needs = onStuds && studs ? `${studs.count} stud${studs.count === 1 ? '' : 's'}` : undefined;
  const first = ranked.nearest
    ? [fitText(ranked.nearest, say)]
    : (['mass', 'pattern'] as const).flatMap((rule) =>
        ranked.reasons.filter((r) => r.rule === rule).map((r) => fitText(r, say)),
      );
  const fixings = load === undefined ? undefined : `fixings at ${shareText(load)}`;
  return [...first, needs, fixings].filter(Boolean).join(' · ');
}

/** The set and what it hangs on, in one line: "43 in · 19 lb · 200 x 200 · Louvre 2". */
export function setLine({ screen, mount }: Pick<Job, 'screen' | 'mount'>, say: Wording): string {
  const { diagonal, mass, pattern } = screen;
  const parts = [say.diagonal(diagonal), say.mass(mass), `${pattern.width} x ${pattern.height}`, mount?.name];
  return parts.filter(Boolean).join(' · ');
}

import type { Mount, StepId, Who } from '@steddo/contract';

/** One step in an installer's words: what is done, and what to look at before it is ticked. */
interface StepWords {
  name: string;
  look: string;
}

/** What a step is about that its words name. */
export interface StepFacts {
  mount?: Mount | undefined;
  /** The arm hole that is used, counted from the top end, from 1; and how many there are. */
  armHole?: { at: number; of: number } | undefined;
  /** Which lead is meant, said together. */
  leads?: string | undefined;
  people?: number | undefined;
}

const of = (name: string, look: string) => (): StepWords => ({ name, look });

const armsOn = ({ armHole, mount }: StepFacts): StepWords => ({
  name: mount?.joint === 'screws' ? 'Put the head on the set' : 'Put both arms on the set',
  look: [
    `Hooks up${holeOf(armHole)}`,
    'Clear of ports and plugs. Knobs outwards on a pattern under 400 mm wide, inwards above, where they would foul.',
  ].join(' '),
});

/** What goes on the set of a rack is one plate, which can be put on wrong way up and wrong way round. */
const rackPlate = ({ armHole }: StepFacts): StepWords => ({
  name: 'Put the plate on the set',
  look: `The dished side to the set, the cut-out up${holeOf(armHole)} A washer under each screw that meets the bottom of its insert.`,
});

const holeOf = (armHole: StepFacts['armHole']): string =>
  armHole
    ? `. Hole ${armHole.at} of ${armHole.of} on both, counted from the hook end.`
    : ', the same hole on both, counted from the hook end.';

const STEPS: Record<StepId, (f: StepFacts) => StepWords> = {
  'vehicle.level': of(
    'Level the vehicle',
    'On its blocks or legs, by a level on the floor both ways: what is level in it now is level when it stands.',
  ),
  'site.wiring': of(
    'Wiring by an electrician',
    'A recessed outlet, or a kit that is rated for in-wall use. Never flex inside the wall; local code decides.',
  ),
  'fit.box': of(
    'Check the box',
    'Every part of the leaflet is there and straight; the screws of the bag are the ones chosen. Keep the leaflet.',
  ),
  'fit.stand': of(
    'Take its stand off, and keep it',
    'On a blanket, face down. The stand, its screws and its cover go into one bag that stays with the set.',
  ),
  'fit.screws-out': of('Take the screws out of the inserts', 'All four threads are free, and nothing is left in them.'),
  'fit.extensions': of(
    'Put the extension arms on the plate',
    'The right way up, finger-tight, lined up with the inserts, then tightened.',
  ),
  'fit.arms': (facts) => (facts.mount?.corner ? rackPlate(facts) : armsOn(facts)),
  'fit.snug': of(
    'All four by finger, push up, snug',
    'All four screws are started before one is tightened; both arms pushed up to take out the slack; snug by hand. Still loose when snug: the screw is too long, a washer goes under.',
  ),
  'fit.device': of('Fix the box behind the set', 'It stands clear of plate and ports, and its leads come out freely.'),
  'fit.stage': of(
    'Stage the plate and measure',
    'The plate sits on the arms as it will hang, a level against it. Read the one number: bottom edge to the top row of holes.',
  ),
  'fit.cords': of('Cords open', 'Both cords or straps are open and reach below the set’s lower edge.'),
  'wall.look': of(
    'Find the studs, look for cables',
    'Both edges of every stud that is used; what nobody looked at is drilled by nobody.',
  ),
  'vehicle.backing': of(
    'Find the backing, tape its corners',
    'By its label or the maker’s drawing, then a magnet along all four edges; tape on each corner. Everything stays inside.',
  ),
  'box.first-cut': of(
    'The first cut, small',
    'Level, inside the outline, through the board only. A cover plate hides it again if something is there.',
  ),
  'box.look': of(
    'Feel and look',
    'A hand and a torch, up and down the bay as far as the box goes: cables, pipes, a timber across. Anything there: stop.',
  ),
  'box.power': of(
    'How power gets there',
    'Say from where and on which side it comes in. Wiring is for an electrician; if it cannot get there, nothing is sawn.',
  ),
  'box.faces': of(
    'Tape to both faces',
    'Through the opening to the stud on either side; carry the measure outside onto the board.',
  ),
  'box.outline': of(
    'Outline by the level',
    'The template’s edge on the line, levelled, pencil all round. Measure it against the list once more.',
  ),
  'box.saw': of(
    'Saw the outline',
    'Along the inside of the line, over a bag, by hand and shallow. Nothing covers a wrong cut from here on.',
  ),
  'box.trim': of(
    'Knock-outs, trim',
    'The knock-outs that are used come out before the box goes in; trim on, edges clean.',
  ),
  'box.wiring': of(
    'Wiring by an electrician',
    'Into the box and connected before it is closed. Never flex inside the wall; local code decides.',
  ),
  'box.push-in': of('Push the box in', 'Flush all round, its wings turned until they grip. Now it is closed.'),
  'box.test': of('Test the outlet', 'With a tester, before anything hangs in front of it.'),
  'wall.mantel': of(
    'Mantel first: timber, then shell',
    'The timber is level and drawn tight by hand; the shell sits middle to middle on it, and its first screw holds it.',
  ),
  'wall.timber': of(
    'Timber first, then the plate onto it',
    'Level and tight in its studs, or on its cleats and the board closed over it, before the plate is marked.',
  ),
  'wall.holes': ({ mount }) => ({
    name: mount?.corner ? 'Drill both walls' : 'Drill and fasten',
    look: `Each hole as the ladder says; what the drill met is kept.${
      mount?.type === 'monitor-arm'
        ? ' Washers on first: the upper screw in and snug, the plate plumb by the level, then the lower pilot through it.'
        : ''
    }`,
  }),
  'wall.rack': of(
    'Put the rack up',
    'On the shoulder: one loose bolt in each wall, then the other four, level, tighten all of them.',
  ),
  'wall.level': of('Level the plate', 'Read snug, turn the level end for end, read again when it is tight: it moves.'),
  'vehicle.seal': of(
    'Seal round the plate',
    'A bead all round its edge, pressed in; no gap below where water would stand.',
  ),
  'wall.pull': of('Pull hard on the plate', 'Nothing gives, nothing creaks. Nothing is hung on it before.'),
  'leads.before': ({ leads }) => ({
    name: leads ? `Stage the leads: ${leads}` : 'Stage the leads',
    look: 'Gathered to the middle, slack for the full reach, nothing tied across a joint. A lead for later goes in now.',
  }),
  'hang.live': of('The outlet is live', 'Tried with a tester or a lamp: behind the set nobody gets at it again.'),
  'hang.check': of(
    'Before the lift',
    'Plate and arm screws tight, hooks up, latches open, tilt locked, the way clear, the film still on.',
  ),
  'hang.lift': ({ people = 1 }) => ({
    name: people > 1 ? 'Two lift the set onto the rail' : 'Lift the set onto the rail',
    look: 'Up over the rail, the top pressed in, then down. Hold it until somebody has looked at the hooks.',
  }),
  'hang.hooks': of('Look at both hooks', 'From the side: left one over the rail, right one over the rail.'),
  'hang.catch': of(
    'Close the catches',
    'Both catches have caught; their small screws are turned in. Bring the arm out to reach them.',
  ),
  'hang.slide-in': ({ people = 1 }) => ({
    name: people > 1 ? 'Two slide the set in' : 'Slide the set in',
    look: 'Into its guides on both sides, down to the stop.',
  }),
  'hang.rejoin': ({ people = 1 }) => ({
    name: people > 1 ? 'Join the set to the arm, one holds' : 'Join the set to the arm',
    look: 'The head is on the set; set and head onto the arm, all its screws in, the lock nut on.',
  }),
  'leads.hooked': ({ leads }) => ({
    name: leads ? `Plug in while it is hooked: ${leads}` : 'Plug in while it is hooked',
    look: 'One holds the lower edge out, or it stands on its service stand; it is not locked yet.',
  }),
  'hang.click': of('Push the bottom until it clicks', 'Both sides clicked. On its service stand it is not locked.'),
  'hang.prove': of('Pull to prove it', 'Pull the lower edge straight out: it stays.'),
  'leads.after': ({ leads }) => ({
    name: leads ? `Plug in: ${leads}` : 'Plug in the leads',
    look: 'Swing it to its full reach once: no lead pulls.',
  }),
  'hang.centre': of('Measure both gaps, slide', 'Left and right; slide by half the difference towards the larger gap.'),
  'hang.level': of(
    'Level the set',
    'A level plate is not yet a level set. Stop at a millimetre; never loosen the plate for the last one.',
  ),
  'hang.lock': ({ mount }) => ({
    name: mount?.corner ? 'Turn in both locking screws by hand' : 'Turn in the locking screws by hand',
    look: 'By hand: a drill strips them. One that no key reaches is an open point.',
  }),
  'hang.cords': of('Tuck the cords away', 'Out of sight, and in reach for whoever takes the set down.'),
  'hang.pose': of(
    'Turn it to the main seat',
    'Arm and tilt as they will be used; joints tightened until they stay and still move by hand.',
  ),
  'hang.on': of('Switch it on', 'Picture and sound, from every lead.'),
  'over.clean': of('Clean up', 'Dust off the floor and the skirting, film off the set, fingerprints off the picture.'),
  'over.travel': of(
    'Show how it travels',
    'Folded, locked, leads clipped, nothing loose; screws tried again after the first drive.',
  ),
  'over.show': of(
    'Show how it moves',
    'Fold it away after use, do not lean on it, how far it may swing; how to take it down.',
  ),
  'over.leave': of('Leave what is theirs', 'The stand, keys, spare screws and washers, the leaflet.'),
};

export const dayStepText = (id: StepId, facts: StepFacts = {}): StepWords => STEPS[id](facts);

const WHO: Record<Who, string> = { one: 'one', two: 'two people', electrician: 'electrician' };
export const whoName = (who: Who): string => WHO[who];

/** `2 h 10 min`; `40 min`. */
export function minutesText(minutes: number): string {
  const hours = Math.floor(minutes / 60);
  const rest = Math.round(minutes - hours * 60);
  if (hours === 0) return `${rest} min`;
  return rest === 0 ? `${hours} h` : `${hours} h ${rest} min`;
}

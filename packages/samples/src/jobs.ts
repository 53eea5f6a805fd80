import { checkFile, job, type Job } from '@steddo/contract';
import attic from '../jobs/attic-snug.json' with { type: 'json' };
import bench from '../jobs/clockmakers-bench.json' with { type: 'json' };
import bar from '../jobs/breakfast-bar.json' with { type: 'json' };
import guest from '../jobs/guest-room.json' with { type: 'json' };
import niche from '../jobs/hallway-niche.json' with { type: 'json' };
import study from '../jobs/landing-study.json' with { type: 'json' };
import cabin from '../jobs/narrowboat-cabin.json' with { type: 'json' };
import sewing from '../jobs/sewing-corner.json' with { type: 'json' };
import parlour from '../jobs/stove-parlour.json' with { type: 'json' };
import minimalImperial from '../jobs/minimal-imperial.json' with { type: 'json' };
import minimal from '../jobs/minimal.json' with { type: 'json' };

/** A sample that the contract refuses is a mistake of ours: fail where it is read. */
function valid(name: string, value: unknown): Job {
  const checked = checkFile(job, value);
  if (checked.ok) return checked.value;
  throw new Error(`${name}: ${checked.faults.map((f) => `${f.path} ${f.reason}`).join('; ')}`);
}

export const guestRoom = valid('guest-room', guest);
export const atticSnug = valid('attic-snug', attic);
export const breakfastBar = valid('breakfast-bar', bar);
export const stoveParlour = valid('stove-parlour', parlour);
export const sewingCorner = valid('sewing-corner', sewing);
export const clockmakersBench = valid('clockmakers-bench', bench);
export const hallwayNiche = valid('hallway-niche', niche);
export const narrowboatCabin = valid('narrowboat-cabin', cabin);
export const landingStudy = valid('landing-study', study);
export const smallestRoom = valid('minimal', minimal);
export const smallestStudWall = valid('minimal-imperial', minimalImperial);

/** The rooms that the demo opens with, by the id that they are seeded under. */
export const demoRooms: readonly { id: string; job: Job }[] = [
  { id: 'guest-room', job: guestRoom },
  { id: 'attic-snug', job: atticSnug },
  { id: 'breakfast-bar', job: breakfastBar },
  { id: 'stove-parlour', job: stoveParlour },
  { id: 'sewing-corner', job: sewingCorner },
  { id: 'clockmakers-bench', job: clockmakersBench },
  { id: 'hallway-niche', job: hallwayNiche },
  { id: 'narrowboat-cabin', job: narrowboatCabin },
  { id: 'landing-study', job: landingStudy },
];

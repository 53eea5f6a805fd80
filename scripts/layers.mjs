/** What may import what: docs/architecture.md has the tables in words. Arrows run one way. */

/** What each part may import of ours. */
export const PARTS = {
  contract: [],
  core: ['contract'],
  text: ['core', 'contract'],
  drawing: ['text', 'core', 'contract'],
  export: ['drawing', 'text', 'core', 'contract'],
  samples: ['contract'],
  server: ['samples', 'text', 'core', 'contract'],
  web: ['export', 'drawing', 'text', 'core', 'contract'],
};
export const folderOf = (part) => (part === 'server' || part === 'web' ? `apps/${part}` : `packages/${part}`);

/** What each folder of the core may import, from the bottom up. A folder that is not named here may not be there. */
const BASE = ['primitives', 'room'];
export const CORE_FOLDERS = {
  primitives: [],
  photo: ['primitives', 'room', 'edit', 'instruments'],
  room: ['primitives'],
  edit: ['primitives'],
  instruments: ['primitives'],
  sight: BASE,
  arm: BASE,
  wall: BASE,
  screen: BASE,
  fixing: BASE,
  lift: [...BASE, 'arm'],
  corner: [...BASE, 'sight'],
  placement: [...BASE, 'sight', 'corner'],
  reach: [...BASE, 'sight', 'arm'],
  plate: [...BASE, 'wall', 'fixing', 'arm'],
  load: [...BASE, 'wall', 'fixing', 'arm'],
  light: [...BASE, 'wall', 'fixing'],
  looks: [...BASE, 'wall', 'fixing', 'arm', 'plate'],
  scheme: [...BASE, 'wall', 'fixing', 'arm', 'placement', 'plate', 'load'],
  twoWalls: [...BASE, 'sight', 'corner', 'wall', 'fixing', 'arm', 'placement', 'plate', 'load', 'scheme'],
  level: [...BASE, 'arm', 'placement', 'plate'],
  leads: [...BASE, 'arm', 'placement', 'plate'],
  hang: [...BASE, 'arm', 'placement', 'plate'],
  special: [...BASE, 'wall', 'fixing'],
  recess: [...BASE, 'wall', 'fixing'],
  vehicle: [...BASE, 'fixing', 'arm'],
  bench: [...BASE, 'sight', 'arm', 'reach'],
  // reads the job and the plan alone; of the primitives it takes the conversions and nothing else
  check: ['primitives'],
  ways: [...BASE, 'edit', 'wall', 'fixing', 'arm', 'placement', 'plate', 'load', 'scheme'],
};
const ENDS = ['light', 'looks', 'level', 'leads', 'hang', 'special', 'recess', 'vehicle'];
CORE_FOLDERS.mount = Object.keys(CORE_FOLDERS).filter((f) => !ENDS.includes(f));
CORE_FOLDERS.day = Object.keys(CORE_FOLDERS);
const BELOW_PLAN = Object.keys(CORE_FOLDERS);
for (const folder of ['compare', 'practice', 'tolerance']) CORE_FOLDERS[folder] = [...BELOW_PLAN, 'plan', 'memory'];

/** The web app from the bottom up: no feature imports another, and only the shell knows them all. */
export const WEB_FOLDERS = {
  ui: [],
  worker: ['data'],
  data: [],
  state: ['data', 'worker', 'ui'],
  canvas: ['state', 'ui', 'data'],
  pad: ['state', 'ui', 'data'],
  work: ['state', 'ui', 'pad', 'canvas'],
};
const BELOW_FEATURES = Object.keys(WEB_FOLDERS);
for (const feature of [
  'catalogue',
  'crew',
  'day',
  'fit',
  'hang',
  'height',
  'holes',
  'ladder',
  'level',
  'mount',
  'photo',
  'practice',
  'reach',
  'room',
  'rooms',
  'set',
  'tolerance',
  'wall',
])
  WEB_FOLDERS[`features/${feature}`] = BELOW_FEATURES;

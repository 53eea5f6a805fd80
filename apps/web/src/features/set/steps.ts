import type { Job, Screen } from '@steddo/contract';
import { measure, outlineOf, patternPlace, patternRight, patternUp, type JobPath } from '@steddo/core';
import type { SetAsk } from '@steddo/drawing';
import type { Field } from '../../pad/fields';

/** One thing to measure on the set: how, and where its line is on the drawing. */
export interface SetStep {
  id: string;
  title: string;
  how: string;
  ask: SetAsk;
  view: 'back' | 'front';
  /** A number for the pad, or words to choose one of. */
  field?: Field;
  choice?: 'pattern' | 'thread' | 'back' | 'ports';
  known: boolean;
}

const known = (job: Job, field: keyof Screen): boolean =>
  job.screen[field] !== undefined && !job.guessed?.includes(`screen.${field}`);

/** The measuring in the order in which it is done, set lying on its face. */
export function setSteps(job: Job): SetStep[] {
  const { screen } = job;
  const f = setFields(job);
  const insert = screen.insert ?? {};
  return [
    {
      id: 'lay',
      title: 'Lay it down',
      how: 'On its face, on something soft and larger than the set; or leave it upright in the lower half of its box. Take out the screws that sit in the inserts.',
      ask: 'none',
      view: 'back',
      known: true,
    },
    {
      id: 'diagonal',
      title: 'Diagonal',
      how: 'From the label. It only says which mounts to look at: the outline is measured next.',
      ask: 'diagonal',
      view: 'front',
      field: f.diagonal,
      known: known(job, 'diagonal'),
    },
    {
      id: 'mass',
      title: 'Mass',
      how: 'From the label, without its stand. Where there are two figures take the larger.',
      ask: 'none',
      view: 'back',
      field: f.mass,
      known: known(job, 'mass'),
    },
    {
      id: 'width',
      title: 'Width, overall',
      how: 'Edge to edge, the widest place.',
      ask: 'width',
      view: 'back',
      field: f.width,
      known: known(job, 'width'),
    },
    {
      id: 'height',
      title: 'Height, overall',
      how: 'Edge to edge, without feet or stand.',
      ask: 'height',
      view: 'back',
      field: f.height,
      known: known(job, 'height'),
    },
    {
      id: 'thickness',
      title: 'Thickness at the holes',
      how: 'From the face to where the bracket will lie.',
      ask: 'thickness',
      view: 'back',
      field: f.thickness,
      known: known(job, 'thickness'),
    },
    {
      id: 'pattern',
      title: 'Hole pattern',
      how: 'Between the four threaded inserts, hole centre to hole centre, width first. 4 in apart is 100 mm.',
      ask: 'pattern',
      view: 'back',
      choice: 'pattern',
      known: known(job, 'pattern'),
    },
    {
      id: 'top',
      title: 'Top edge to the upper holes',
      how: 'The pattern is often not in the middle. Measure down from the top edge to the middle of the upper holes.',
      ask: 'pattern-top',
      view: 'back',
      field: f.top,
      known: screen.patternCentre !== undefined,
    },
    {
      id: 'thread',
      title: 'Thread',
      how: 'Turn a screw in by hand. It goes easily or it is the wrong thread: resistance means stop.',
      ask: 'none',
      view: 'back',
      choice: 'thread',
      known: insert.thread !== undefined,
    },
    {
      id: 'depth',
      title: 'Depth of the insert',
      how: 'Slide a thin bolt or a probe in until it stops. Mark it level with the back with a thumbnail or tape. Pull it out and measure from its end to the mark.',
      ask: 'none',
      view: 'back',
      field: f.depth,
      known: insert.depth !== undefined,
    },
    {
      id: 'recess',
      title: 'Recess before the thread',
      how: 'If the insert sits in a pit: from the back down to its mouth. None is 0.',
      ask: 'none',
      view: 'back',
      field: f.recess,
      known: insert.recess !== undefined,
    },
    {
      id: 'back',
      title: 'The back',
      how: 'Lay a straight edge over the inserts: does the bracket lie flat on all four?',
      ask: 'thickness',
      view: 'back',
      choice: 'back',
      known: screen.back !== undefined,
    },
    {
      id: 'ports',
      title: 'Plugs',
      how: 'Which way do the plugs go in?',
      ask: 'none',
      view: 'back',
      choice: 'ports',
      known: screen.ports !== undefined,
    },
    ...(screen.ports === 'back'
      ? [
          {
            id: 'plugs',
            title: 'How far the plugs stick out',
            how: 'Put one in and measure from the back to where its lead bends away.',
            ask: 'none' as const,
            view: 'back' as const,
            field: f.plugs,
            known: screen.plugDepth !== undefined,
          },
        ]
      : []),
  ];
}

const centreOf = (job: Job) => job.screen.patternCentre ?? { right: 0, up: 0 };

/** Every number of the set, for the pad. */
export function setFields(job: Job) {
  const { screen } = job;
  const guessed = (path: string) => job.guessed?.includes(path);
  const put = (path: JobPath) => (value: number, now: Job) => measure(now, path, value);
  const plain = (
    name: 'diagonal' | 'width' | 'height' | 'thickness',
    label: string,
    min: number,
    max: number,
  ): Field => ({
    path: `screen.${name}`,
    label,
    kind: 'length',
    value: screen[name],
    guess: guessed(`screen.${name}`),
    min,
    max,
    command: put(`screen.${name}`),
  });
  const small = (name: 'depth' | 'recess', label: string, min: number): Field => ({
    path: `screen.insert.${name}`,
    label,
    kind: 'length',
    alwaysMm: true,
    value: screen.insert?.[name],
    min,
    max: 80,
    command: put(`screen.insert.${name}`),
  });
  const place = patternPlace(screen);
  const here = screen.patternCentre !== undefined;
  const outline = outlineOf(screen, []);
  const edge = (side: 'top' | 'bottom', label: string): Field => ({
    path: `screen.patternCentre.${side}`,
    label,
    kind: 'length',
    ...(here ? { value: place[side] } : {}),
    min: 0,
    max: Math.ceil(outline.height.value),
    hint: 'edge to the middle of the holes',
    command: (mm, now) =>
      measure(now, 'screen.patternCentre', {
        ...centreOf(now),
        up: patternUp(now.screen, side, mm),
      }),
  });
  const patternSide = (axis: 'width' | 'height'): Field => ({
    path: `screen.pattern.${axis}`,
    label: `pattern ${axis}`,
    kind: 'length',
    alwaysMm: true,
    value: screen.pattern[axis],
    min: 20,
    max: 1500,
    command: (value, now) => measure(now, 'screen.pattern', { ...now.screen.pattern, [axis]: value }),
  });
  return {
    // what is smaller than ten inches is no set that hangs on a wall
    diagonal: { ...plain('diagonal', 'diagonal', 254, 4000), hint: 'on the label', inInches: true },
    width: plain('width', 'width, overall', 200, 4000),
    height: plain('height', 'height, overall', 100, 3000),
    thickness: plain('thickness', 'thickness at the holes', 3, 600),
    mass: {
      path: 'screen.mass',
      label: 'mass',
      kind: 'mass',
      value: screen.mass,
      guess: guessed('screen.mass'),
      min: 0.5,
      max: 200,
      command: put('screen.mass'),
    } satisfies Field,
    up: {
      path: 'screen.patternCentre.up',
      label: 'pattern above the middle',
      hint: 'minus when it sits below',
      kind: 'length',
      value: screen.patternCentre?.up,
      min: -1000,
      max: 1000,
      command: (up, now) => measure(now, 'screen.patternCentre', { ...centreOf(now), up }),
    } satisfies Field,
    right: {
      path: 'screen.patternCentre.right',
      label: 'left edge to the left holes',
      hint: 'seen from the front',
      kind: 'length',
      ...(here ? { value: place.left } : {}),
      min: 0,
      max: Math.ceil(outline.width.value),
      command: (mm, now) =>
        measure(now, 'screen.patternCentre', { ...centreOf(now), right: patternRight(now.screen, 'left', mm) }),
    } satisfies Field,
    top: edge('top', 'top edge to the upper holes'),
    bottom: edge('bottom', 'bottom edge to the lower holes'),
    patternWidth: patternSide('width'),
    patternHeight: patternSide('height'),
    depth: small('depth', 'depth of the insert', 1),
    recess: small('recess', 'recess before the thread', 0),
    plugs: {
      path: 'screen.plugDepth',
      label: 'plugs stick out',
      kind: 'length',
      value: screen.plugDepth,
      min: 0,
      max: 300,
      command: put('screen.plugDepth'),
    } satisfies Field,
  };
}

import type { Job, Plan } from '@steddo/contract';
import {
  aboveScene,
  join,
  roomFace,
  sectionScene,
  shiftScene,
  sideScene,
  templateScenes,
  type Scene,
  type WallTemplate,
} from '@steddo/drawing';

/** A job with what follows from it: all that any format is made of. */
export interface Exported {
  job: Job;
  plan: Plan;
  /** Its pictures as JPEG, by their ids; those that are not there are named where they would stand. */
  pictures?: ReadonlyMap<string, Uint8Array> | undefined;
}

/** Why something cannot be made, in a sentence for whoever asked for it. */
export class NotMade extends Error {}

/** Which drawing of a room. */
export const VIEWS = ['face', 'above', 'side', 'section'] as const;
export type View = (typeof VIEWS)[number];

/** A drawing that a file is made of: a view, or the template. */
export const DRAWN = [...VIEWS, 'template'] as const;
export type Drawn = (typeof DRAWN)[number];

/** A drawing of a room in mm; a section only where there are holes to cut through. */
export function viewOf({ job, plan }: Exported, view: View): Scene {
  switch (view) {
    case 'face': {
      const scene = roomFace(job, plan, 'holes');
      return { ...scene, focus: scene.bounds };
    }
    case 'above':
      return aboveScene(job, plan);
    case 'side':
      return sideScene(job, plan);
    case 'section': {
      const scene = sectionScene(job, plan);
      if (!scene) throw new NotMade('there is no section: there are no holes yet');
      return scene;
    }
  }
}

/** A view or the template, in mm. */
export const drawnOf = (exported: Exported, which: Drawn): Scene =>
  which === 'template' ? templateOf(exported) : viewOf(exported, which);

/** What is laid on the walls, in mm; only where there is something to drill or to cut. */
export function templatesOf({ job, plan }: Exported): WallTemplate[] {
  const templates = templateScenes(job, plan);
  if (templates.length === 0) throw new NotMade('there is nothing to drill or to cut yet: no template');
  return templates;
}

/** Between the templates of two walls in one drawing, mm. */
const APART_MM = 100;

/** The templates of both walls of a corner beside each other, as they stand in the room; of any other room its one. */
function templateOf(exported: Exported): Scene {
  const [main, ...others] = templatesOf(exported);
  return others.reduce<Scene>(({ bounds, focus, shapes, labels }, { wall, scene }) => {
    const { left, right } = scene.bounds;
    const beside = shiftScene(scene, wall === 'left' ? bounds.left - APART_MM - right : bounds.right + APART_MM - left);
    return {
      bounds: join(bounds, beside.bounds),
      focus: join(focus, beside.focus),
      shapes: [...shapes, ...beside.shapes.map((s) => ({ ...s, id: `${wall}-${s.id}` }))],
      labels: [...labels, ...beside.labels.map((l) => ({ ...l, id: `${wall}-${l.id}` }))],
    };
  }, main!.scene);
}

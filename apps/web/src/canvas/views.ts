import type { BuiltStage } from '../features/room/stages';

/** The drawings of a room. */
export const VIEWS = ['face', 'side', 'above', 'back', 'front', 'screw'] as const;
export type ViewName = (typeof VIEWS)[number];

/** Which drawings a stage has, the first one shown. */
export function viewsAt(stage: BuiltStage): readonly ViewName[] {
  switch (stage) {
    case 'set':
      return ['back', 'front', 'screw'];
    case 'room':
      return ['face', 'above', 'side'];
    case 'mount':
    case 'height':
      return ['face', 'side', 'above'];
    case 'reach':
      return ['above', 'face', 'side'];
    default:
      return ['face'];
  }
}

export const isView = (value: unknown): value is ViewName => VIEWS.some((v) => v === value);

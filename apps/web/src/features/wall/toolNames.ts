import type { Tool } from './tools';

/** Short enough for the tool's own face. */
export const toolName: Record<Tool['kind'], string> = {
  edge: 'edge',
  centre: 'centre',
  magnet: 'magnet',
  live: 'live',
  drill: 'drill',
  camera: 'camera',
};

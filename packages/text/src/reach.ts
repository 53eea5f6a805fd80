import { rounded, type Wording } from './wording';

/** A pose said aloud: `8 1/2 in out, turned 23° right`. */
export function poseText(at: { extension: number; yaw: number }, say: Wording): string {
  const turned = Math.round(at.yaw);
  const way = turned < 0 ? 'left' : 'right';
  return `${say.length(at.extension)} out, ${turned === 0 ? 'straight' : `turned ${Math.abs(turned)}° ${way}`}`;
}

/** How a set leans in a pose; nothing where nobody would see it. */
export function tiltText(tilt: number): string {
  const lean = Math.round(Math.abs(tilt));
  return lean === 0 ? '' : `, leaning ${lean}° ${tilt > 0 ? 'down' : 'up'}`;
}

/** How far off its axis a seat sees the set: in whole degrees, which is as fine as anybody sees. */
export function offText(deg: number): string {
  const off = Math.round(Math.abs(deg));
  return off === 0 ? 'straight on' : `${rounded(off, 0)}° off`;
}

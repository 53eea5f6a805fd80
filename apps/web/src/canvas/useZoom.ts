import { useCallback, useEffect, useRef, useState, type PointerEvent, type RefObject } from 'react';
import type { Zoomer } from '../state/canvasState';
import { FITTED, panBy, zoomAt, type Size, type Zoom } from './zoom';

const STEP = 1.5;
/** A double tap on a fitted drawing brings it so much closer. */
const TAP_FACTOR = 2.5;
const WHEEL = 0.0016;
const DOUBLE_MS = 320;
const DOUBLE_PX = 28;

interface Point {
  x: number;
  y: number;
}

const middleOf = (all: readonly Point[]): Point => ({
  x: all.reduce((sum, p) => sum + p.x, 0) / all.length,
  y: all.reduce((sum, p) => sum + p.y, 0) / all.length,
});
const spreadOf = ([a, b]: readonly Point[]): number => (a && b ? Math.hypot(a.x - b.x, a.y - b.y) : 0);

/**
 * A drawing under fingers, wheel and double taps: one finger moves a closer one, two pinch, a double tap goes closer
 * and back. `still` while something in it is dragged.
 */
export function useZoom(size: Size, still: () => boolean) {
  const [zoom, setZoom] = useState<Zoom>(FITTED);
  const fingers = useRef(new Map<number, Point>());
  const tapped = useRef<{ at: Point; ms: number } | undefined>(undefined);
  const { width, height } = size;
  const change = useCallback(
    (next: (zoom: Zoom) => Zoom) => {
      if (!still()) setZoom(next);
    },
    [still],
  );
  const wheel = useWheel((by, at) => change((z) => zoomAt(z, by, at, { width, height })));
  const local = (e: PointerEvent): Point => {
    const box = e.currentTarget.getBoundingClientRect();
    return { x: e.clientX - box.left, y: e.clientY - box.top };
  };
  const onPointerDown = (e: PointerEvent) => {
    if (e.pointerType === 'mouse' && e.button !== 0) return;
    e.currentTarget.setPointerCapture(e.pointerId);
    fingers.current.set(e.pointerId, local(e));
  };
  const onPointerMove = (e: PointerEvent) => {
    if (!fingers.current.has(e.pointerId)) return;
    const before = [...fingers.current.values()];
    fingers.current.set(e.pointerId, local(e));
    const after = [...fingers.current.values()];
    const [from, to] = [middleOf(before), middleOf(after)];
    const by = after.length > 1 ? spreadOf(after) / Math.max(1, spreadOf(before)) : 1;
    if (Math.hypot(to.x - from.x, to.y - from.y) > 2) tapped.current = undefined;
    change((z) => panBy(zoomAt(z, by, from, { width, height }), to.x - from.x, to.y - from.y, { width, height }));
  };
  const onPointerUp = (e: PointerEvent) => {
    if (!fingers.current.delete(e.pointerId)) return;
    const at = local(e);
    const last = tapped.current;
    const twice = last && e.timeStamp - last.ms < DOUBLE_MS && spreadOf([at, last.at]) < DOUBLE_PX;
    tapped.current = twice ? undefined : { at, ms: e.timeStamp };
    if (twice) change((z) => (z.factor > 1 ? FITTED : zoomAt(z, TAP_FACTOR, at, { width, height })));
  };
  const onPointerCancel = (e: PointerEvent) => void fingers.current.delete(e.pointerId);
  const middle = { x: width / 2, y: height / 2 };
  const zoomer: Zoomer = {
    closer: () => change((z) => zoomAt(z, STEP, middle, { width, height })),
    further: () => change((z) => zoomAt(z, 1 / STEP, middle, { width, height })),
    fitted: () => setZoom(FITTED),
  };
  return { zoom, zoomer, wheel, gestures: { onPointerDown, onPointerMove, onPointerUp, onPointerCancel } };
}

/** The wheel over an element, which has to be kept from scrolling the page: React listens too late for that. */
function useWheel(turn: (by: number, at: Point) => void): RefObject<SVGSVGElement | null> {
  const element = useRef<SVGSVGElement>(null);
  const latest = useRef(turn);
  useEffect(() => {
    latest.current = turn;
  });
  useEffect(() => {
    const svg = element.current;
    if (!svg) return;
    const onWheel = (e: WheelEvent) => {
      e.preventDefault();
      const box = svg.getBoundingClientRect();
      latest.current(Math.exp(-e.deltaY * WHEEL), { x: e.clientX - box.left, y: e.clientY - box.top });
    };
    svg.addEventListener('wheel', onWheel, { passive: false });
    return () => svg.removeEventListener('wheel', onWheel);
  });
  return element;
}

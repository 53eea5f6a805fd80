/** Whether the device is held and tapped, rather than pointed at with a mouse. */
export const isTapped = (): boolean =>
  typeof window !== 'undefined' && (window.matchMedia?.('(pointer: coarse)').matches ?? false);

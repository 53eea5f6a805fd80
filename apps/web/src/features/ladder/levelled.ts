/** Which first hole the plate was levelled from, kept on this device so that a reload does not ask again. */
const key = (room: string): string => `steddo-levelled-${room}`;

export const levelledFrom = (room: string): string | undefined => window.localStorage.getItem(key(room)) ?? undefined;

export const keepLevelled = (room: string, hole: string): void => window.localStorage.setItem(key(room), hole);

import type { StoreTrouble } from './localStore';

const NAME = 'steddo:device';
/** As long as a name on a label. */
export const LONGEST_NAME = 60;

/** What this device is called, for those who work on the same rooms; a kind and two letters until somebody says. */
export function deviceName(storage: Storage | undefined, isPhone: boolean, newId: () => string): string {
  try {
    const kept = storage?.getItem(NAME);
    if (kept) return kept;
    const made = `${isPhone ? 'phone' : 'computer'} ${
      newId()
        .replace(/[^a-z]/g, '')
        .slice(0, 2)
        .toUpperCase() || 'A'
    }`;
    storage?.setItem(NAME, made);
    return made;
  } catch {
    return isPhone ? 'phone' : 'computer';
  }
}

export function nameDevice(storage: Storage | undefined, name: string): void {
  try {
    storage?.setItem(NAME, name.trim().slice(0, LONGEST_NAME));
  } catch {
    // it keeps the name that it had
  }
}

/** What the browser grants, as far as it says. */
export interface Storing {
  /** Whether the browser has promised not to clear it by itself. */
  persisted?: boolean;
  usedBytes?: number;
  mostBytes?: number;
}

export async function askStoring(ask: boolean): Promise<Storing> {
  const { storage } = navigator;
  if (!storage) return {};
  try {
    const persisted = (await storage.persisted?.()) || (ask && (await storage.persist?.()));
    const { usage, quota } = (await storage.estimate?.()) ?? {};
    return {
      ...(typeof persisted === 'boolean' ? { persisted } : {}),
      ...(usage === undefined ? {} : { usedBytes: usage }),
      ...(quota === undefined ? {} : { mostBytes: quota }),
    };
  } catch {
    return {};
  }
}

let asked = false;

/** Asks the browser once, when there is something to keep, not to clear it by itself; what it answers is shown under "this device". */
export function askToKeep(): void {
  if (asked) return;
  asked = true;
  void askStoring(true);
}

/** Why the device does not keep what is done, in a sentence that says what to do. */
export const TROUBLE_TEXT: Record<StoreTrouble, string> = {
  full: 'This device is full: what you do is not kept on it. Make room on the device, or save the room as a file.',
  blocked:
    'Another tab holds the rooms of this device: what you do here is not kept on it. Close the other tab, or save the room as a file.',
  newer:
    'A newer Steddo has been open on this device: what you do here is not kept on it. Load this page again, or save the room as a file.',
  refused:
    'The browser does not let Steddo keep anything on this device. Leave private browsing, allow storage for this site, or save the room as a file.',
};

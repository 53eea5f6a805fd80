import type { Job } from '@steddo/contract';
import type { ActResult, Fetched } from './api';
import type { Journal } from './journal';
import type { LocalStore } from './localStore';
import type { SendResult } from './sendResult';

/** An edit as it is sent. */
export type Save = { editId: string; baseVersion: number; baseRevision?: string; touched: string[]; job: Job };

export interface RoomsParts {
  store: LocalStore;
  journal: Journal;
  send: (id: string, save: Save) => Promise<SendResult>;
  act: (id: string, act: 'delete' | 'take-back') => Promise<ActResult>;
  fetchRoom: (id: string, base?: string) => Promise<Fetched>;
  newId: () => string;
  now: () => Date;
  later: (work: () => void, ms: number) => void;
  /**
   * Does something with a room that nobody else on this device may do meanwhile, after what this tab is doing with
   * it; false where another tab has the room, for longer than `patience` (ms) where somebody waits for it.
   */
  alone: (id: string, work: () => Promise<void>, patience?: number) => Promise<boolean>;
  /** Other tabs are told that the device has another version of a room. */
  tell: (id: string) => void;
}

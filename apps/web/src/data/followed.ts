import { useSyncExternalStore } from 'react';

/** A value that screens can follow. */
export class Followed<T> {
  private readonly listeners = new Set<() => void>();
  constructor(private value: T) {}
  readonly get = (): T => this.value;
  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };
  set(value: T): void {
    this.value = value;
    for (const listener of this.listeners) listener();
  }
}

export const useFollowed = <T>(followed: Followed<T>): T => useSyncExternalStore(followed.subscribe, followed.get);

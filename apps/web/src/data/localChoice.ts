/** Small choices that a device remembers between rooms, such as the units last used; lost ones are made again. */
export class LocalChoice {
  constructor(private readonly storage: Storage | undefined) {}

  get(name: string): string | undefined {
    try {
      return this.storage?.getItem(`steddo:choice:${name}`) ?? undefined;
    } catch {
      return undefined;
    }
  }

  set(name: string, value: string): void {
    try {
      this.storage?.setItem(`steddo:choice:${name}`, value);
    } catch {
      // it is asked for again the next time
    }
  }
}

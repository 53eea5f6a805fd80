const FIRST_MS = 1500;
const LONGEST_MS = 30_000;

/** Tries again later, each time after twice the wait, up to half a minute; never two tries at once. */
export class Retry {
  private waitMs = FIRST_MS;
  private planned = false;

  constructor(
    private readonly work: () => void,
    private readonly later: (work: () => void, ms: number) => void,
  ) {}

  plan(): void {
    if (this.planned) return;
    this.planned = true;
    this.later(() => {
      this.planned = false;
      this.work();
    }, this.waitMs);
    this.waitMs = Math.min(this.waitMs * 2, LONGEST_MS);
  }

  /** Something got through: the next wait is a short one again. */
  reset(): void {
    this.waitMs = FIRST_MS;
  }
}

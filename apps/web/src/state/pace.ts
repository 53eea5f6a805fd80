/** When a page has time: after what is on its way to the screen is there, and as the next frame begins. */
export interface Frames {
  afterFrame: (work: () => void) => void;
  inFrame: (work: () => void) => void;
}

/**
 * What follows a finger, made in one frame and drawn in the next, so that neither is long. While one is on its way no
 * other is begun; what has changed meanwhile follows it.
 */
export class Pace {
  private busy = false;
  private again = false;
  /** What is made for an earlier turn is not drawn. */
  private turn = 0;

  /** `make` works out what is to be shown, and gives what draws it. */
  constructor(
    private readonly make: () => () => void,
    private readonly frames: Frames,
  ) {}

  ask(): void {
    this.again = true;
    if (!this.busy) this.begin();
  }

  /** Something else is shown now: what is on its way comes too late. */
  drop(): void {
    this.turn += 1;
    this.again = false;
  }

  private begin(): void {
    this.busy = true;
    this.frames.afterFrame(() => {
      if (!this.again) return this.end();
      this.again = false;
      const { turn } = this;
      const draw = this.make();
      this.frames.inFrame(() => {
        if (turn === this.turn) draw();
        this.end();
      });
    });
  }

  private end(): void {
    this.busy = false;
    if (this.again) this.begin();
  }
}

export const browserFrames: Frames = {
  afterFrame: (work) => void setTimeout(work),
  inFrame: (work) => void requestAnimationFrame(work),
};

/** A hand is quicker than a step is kept: what it does meanwhile waits, so that it meets the design as it is then. */
export class Turns {
  /** The number of the message whose answer is awaited; 0 for none. */
  private awaited = 0;
  private readonly waiting: (() => void)[] = [];

  constructor(private readonly connected: () => boolean) {}

  /** Do it now, or when its turn has come. */
  take(act: () => void): void {
    if (this.awaited && this.connected()) this.waiting.push(act);
    else act();
  }

  /** Nothing more until the answer of this number has come. */
  await(seq: number): void {
    this.awaited = seq;
  }

  isAwaiting(seq: number): boolean {
    return seq === this.awaited;
  }

  answered(seq: number): void {
    if (seq !== this.awaited) return;
    this.awaited = 0;
    while (!this.awaited && this.waiting.length) this.waiting.shift()?.();
  }

  /** What was under way may have been kept or not: nothing waits any more. */
  forget(): void {
    this.waiting.length = this.awaited = 0;
  }
}

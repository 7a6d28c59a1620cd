/** Runs one call at a time; of those asked for meanwhile only the last is carried out. One that fails is told, and stops
 * none that comes after. */
export class Latest {
  private busy = false;
  private next: (() => Promise<void>) | null = null;

  run(call: () => Promise<void>): void {
    this.next = call;
    if (!this.busy) void this.drain();
  }

  get idle(): boolean {
    return !this.busy && this.next === null;
  }

  private async drain(): Promise<void> {
    this.busy = true;
    while (this.next) {
      const call = this.next;
      this.next = null;
      try {
        await call();
      } catch (error) {
        reportError(error);
      }
    }
    this.busy = false;
  }
}

/** Runs a call after a pause; asking again begins anew and aborts the one under way. */
export class Settled {
  private timer: ReturnType<typeof setTimeout> | undefined;
  private abort: AbortController | null = null;
  private readonly pause: number;

  constructor(pause: number) {
    this.pause = pause;
  }

  run(call: (signal: AbortSignal) => Promise<void>): void {
    clearTimeout(this.timer);
    this.abort?.abort();
    const abort = new AbortController();
    this.abort = abort;
    this.timer = setTimeout(() => void call(abort.signal), this.pause);
  }
}

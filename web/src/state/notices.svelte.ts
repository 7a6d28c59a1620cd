export type Notice = { text: string; tone: 'short' | 'plain' };

/** The one line under the top bar: what happened, what was kept, and what to do. */
export class Notices {
  notice = $state.raw<Notice | null>(null);

  say(text: string): void {
    this.notice = { text, tone: 'plain' };
  }

  warn(text: string): void {
    this.notice = { text, tone: 'short' };
  }

  clear(): void {
    this.notice = null;
  }

  /** Tell of an error in its own words. */
  tell(error: unknown): void {
    this.warn(error instanceof Error ? error.message : 'Something went wrong; nothing was changed.');
  }
}

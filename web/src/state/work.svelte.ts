import * as client from '../api/client';
import type { Job } from '../api/types';
import type { Notices } from './notices.svelte';

const OPEN = ['waiting', 'running', 'stopping'];

/** Long work that the server does by itself. What becomes of it arrives by itself, in every window. */
export class Work {
  job = $state.raw<Job | null>(null);
  readonly open = $derived(this.job !== null && OPEN.includes(this.job.state));
  private readonly notices: Notices;

  constructor(notices: Notices) {
    this.notices = notices;
  }

  /** Take over what has become of a piece of work. */
  take(job: Job): void {
    if (!this.job || job.id >= this.job.id) this.job = job;
  }

  async ask(): Promise<void> {
    try {
      this.take(await client.askWork());
    } catch (error) {
      this.notices.tell(error);
    }
  }

  async stop(): Promise<void> {
    if (!this.job) return;
    try {
      this.take(await client.stopWork(this.job.id));
    } catch (error) {
      this.notices.tell(error);
    }
  }
}

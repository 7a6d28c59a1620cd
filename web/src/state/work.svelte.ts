import * as client from '../api/client';
import type { Job, Packed } from '../api/types';
import { Long, type Lines } from './long.svelte';
import type { Notices } from './notices.svelte';

const OPEN = ['waiting', 'running', 'stopping'];

/** Long work that the server does by itself. What becomes of it arrives by itself, in every window. */
export class Work {
  job = $state.raw<Job | null>(null);
  readonly open = $derived(this.job !== null && OPEN.includes(this.job.state));
  /** Whether what is open is the making of films' files. */
  readonly films = $derived(this.open && this.job?.kind === 'film');
  /** The bundle of the whole site, being packed. */
  readonly packing: Long<Packed>;
  readonly packed = $derived.by(() => this.packing.found?.value ?? null);
  private readonly notices: Notices;

  constructor(notices: Notices) {
    this.notices = notices;
    this.packing = new Long(notices);
  }

  /** Take over what has become of a piece of work. */
  take(job: Job): void {
    // what was packed before has other pictures in it
    if (OPEN.includes(job.state)) this.packing.forget();
    if (!this.job || job.id >= this.job.id) this.job = job;
  }

  async ask(kind: 'fit' | 'film' = 'fit'): Promise<void> {
    try {
      this.take(await client.askWork(kind));
    } catch (error) {
      this.notices.tell(error);
    }
  }

  /** Pack a revision of the site, unless that is done already; resolves when it has ended. */
  pack(revision: number): Promise<void> {
    const wanted = { revision, page: '' };
    if (this.packing.of(wanted) === null) this.packing.found = null;
    return this.packing.begin(wanted, (signal) => client.packing(signal) as Lines<Packed>);
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

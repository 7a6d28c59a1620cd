import * as client from '../api/client';
import type { Look, ReleasesFound } from '../api/types';
import { Long, type Lines } from './long.svelte';
import type { Notices } from './notices.svelte';

/** What was put live, what has changed since, and what the next release would be. */
export class Releases {
  /** null: not fetched yet. What was fetched before stays in sight while it is fetched anew. */
  found = $state.raw<(ReleasesFound & { revision: number }) | null>(null);
  failed = $state('');
  /** Whether an earlier one is being put live again. */
  going = $state(false);
  readonly looking: Long<Look>;
  readonly publishing: Long<{ number: number }>;
  private wanted = -1;
  private readonly notices: Notices;

  constructor(notices: Notices) {
    this.notices = notices;
    this.looking = new Long(notices);
    this.publishing = new Long(notices);
  }

  async list(revision: number): Promise<void> {
    this.wanted = revision;
    try {
      const found = await client.releases(revision);
      // a later state was asked for meanwhile
      if (this.wanted !== revision) return;
      this.found = { ...found, revision };
      this.failed = '';
    } catch (error) {
      if (this.wanted !== revision) return;
      this.failed = error instanceof Error ? error.message : 'The releases cannot be looked at now.';
    }
  }

  /** What the next release would be. What was measured for an earlier state stays in sight meanwhile. */
  look(revision: number): Promise<void> {
    return this.looking.begin(
      { revision, page: '' },
      (s) => client.lookAtRelease(revision, s) as Lines<Look>,
    );
  }

  /** Put a state live; gives whether that was done. */
  async publish(revision: number, anyway: boolean): Promise<boolean> {
    this.publishing.forget();
    const wanted = { revision, page: '' };
    await this.publishing.begin(
      wanted,
      (s) => client.publish(revision, anyway, s) as Lines<{ number: number }>,
    );
    const done = this.publishing.of(wanted);
    if (done) await this.live(revision, `Release ${done.number} is live.`);
    return done !== null;
  }

  /** Put live again what an earlier release was. */
  async back(number: number, revision: number): Promise<void> {
    this.going = true;
    try {
      const done = await client.backToRelease(number);
      await this.live(revision, `Release ${done.number} is live; it is what release ${number} was.`);
    } catch (error) {
      this.notices.tell(error);
    }
    this.going = false;
  }

  /** What is live has changed, here or elsewhere: what was compared with the last release does not hold any more. */
  async live(revision: number, text = ''): Promise<void> {
    this.looking.forget();
    await this.list(revision);
    if (text) this.notices.notice = { text, tone: 'plain' };
  }
}

import type { Job } from '../api/types';
import type { Bench } from './bench';

/** Hear what changes elsewhere, as it happens (server-sent events, HTML section 9.2). Gives how to end it. */
export function listen({ edits, work }: Bench): () => void {
  const events = new EventSource('/api/news');
  const told = (event: Event) => JSON.parse((event as MessageEvent<string>).data) as unknown;
  events.addEventListener('revision', (event) => {
    void edits.follow((told(event) as { revision: number }).revision);
  });
  events.addEventListener('work', (event) => work.take(told(event) as Job));
  return () => events.close();
}

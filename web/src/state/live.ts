import { ofSite } from '../api/site';
import type { Job } from '../api/types';
import type { Bench } from './bench';

/** Hear what changes elsewhere, as it happens (server-sent events, HTML section 9.2). Gives how to end it. */
export function listen({ doc, edits, findings, releases, sight, work }: Bench): () => void {
  const events = new EventSource(ofSite('/api/news'));
  const told = (event: Event) => JSON.parse((event as MessageEvent<string>).data) as unknown;
  events.addEventListener('revision', (event) => {
    void edits.follow((told(event) as { revision: number }).revision);
  });
  events.addEventListener('work', (event) => {
    const job = told(event) as Job;
    work.take(job);
    // films can be played now that could not before
    if (job.state !== 'done') return;
    sight.refresh();
    findings.again();
  });
  events.addEventListener('released', () => {
    if (releases.found) void releases.live(doc.revision);
  });
  return () => events.close();
}

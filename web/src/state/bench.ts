import * as client from '../api/client';
import { Doc } from './doc.svelte';
import { Edits } from './edits.svelte';
import { Eyedropper } from './eyedropper.svelte';
import { Findings } from './findings.svelte';
import { Movement } from './movement.svelte';
import { Notices } from './notices.svelte';
import { Place } from './place.svelte';
import { Selection } from './selection.svelte';
import { Sight } from './sight.svelte';
import { Uploads } from './uploads.svelte';
import { Ways } from './ways.svelte';
import { Work } from './work.svelte';

/** The concerns of the bench, each by itself; what one needs of another it is given when it is made. */
export type Bench = {
  notices: Notices;
  doc: Doc;
  edits: Edits;
  place: Place;
  selection: Selection;
  sight: Sight;
  findings: Findings;
  uploads: Uploads;
  ways: Ways;
  eyedropper: Eyedropper;
  work: Work;
  movement: Movement;
};

export function makeBench(): Bench {
  const notices = new Notices();
  const doc = new Doc();
  const edits = new Edits(doc, notices);
  const place = new Place(edits);
  const selection = new Selection(doc, edits);
  const sight = new Sight(doc, edits, selection, notices);
  const findings = new Findings(doc, selection, sight, notices);
  const uploads = new Uploads(edits, selection, notices);
  const ways = new Ways(doc, edits, selection, findings, notices);
  const eyedropper = new Eyedropper(selection, notices);
  const work = new Work(notices);
  const movement = new Movement(edits, selection);
  return {
    notices,
    doc,
    edits,
    place,
    selection,
    sight,
    findings,
    uploads,
    ways,
    eyedropper,
    work,
    movement,
  };
}

/** Fetch the site and what ships, and choose what is worked on first. */
export async function start({ doc, edits, selection, notices }: Bench): Promise<boolean> {
  try {
    const fonts = client.fonts();
    const [state, library] = await Promise.all([client.state(), client.library()]);
    // what is chosen first depends on what kinds there are
    doc.library = library;
    doc.take(state);
    // the page and its readings are asked for now, and do not wait for what the settings need
    selection.restore({});
    void edits.missed();
    doc.fonts = await fonts;
    return true;
  } catch (error) {
    notices.tell(error);
    return false;
  }
}

import * as client from '../api/client';
import { workOn } from '../api/site';
import { read } from './address';
import { Banners } from './banners.svelte';
import { Beginning } from './beginning.svelte';
import { Bringing } from './bringing.svelte';
import { Doc } from './doc.svelte';
import { Edits } from './edits.svelte';
import { Eyes } from './eyes.svelte';
import { Eyedropper } from './eyedropper.svelte';
import { Findings } from './findings.svelte';
import { Movement } from './movement.svelte';
import { Notices } from './notices.svelte';
import { Place } from './place.svelte';
import { Releases } from './releases.svelte';
import { Selection } from './selection.svelte';
import { Shared } from './shared.svelte';
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
  banners: Banners;
  eyedropper: Eyedropper;
  eyes: Eyes;
  work: Work;
  bringing: Bringing;
  beginning: Beginning;
  releases: Releases;
  movement: Movement;
  shared: Shared;
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
  const banners = new Banners(doc, edits, selection, notices);
  const eyes = new Eyes(doc, selection, sight, notices);
  const eyedropper = new Eyedropper(selection, notices);
  const work = new Work(notices);
  const bringing = new Bringing();
  const beginning = new Beginning(doc, edits, selection, notices);
  const releases = new Releases(notices);
  const movement = new Movement(edits, selection);
  const shared = new Shared(doc, notices);
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
    banners,
    eyedropper,
    eyes,
    work,
    bringing,
    beginning,
    releases,
    movement,
    shared,
  };
}

/** Which site is worked on: that of the address, or the first. Where several could be meant, they are shown. */
async function findSite(notices: Notices): Promise<void> {
  const names = await client.siteNames();
  const { search } = window.location;
  const asked = read(search).site;
  const found = names.find((name) => name.site === asked) ?? names[0];
  if (!found) throw new Error('There is no site here.');
  workOn(found.site, names.length === 1);
  if (asked && found.site !== asked) notices.warn(`The site ${asked} is not here; this is ${found.name}.`);
  if (search === '' && names.length > 1) window.history.replaceState(null, '', '?view=sites');
}

/** What of a document says which fonts there are. */
const told = ({ state }: Doc) => JSON.stringify(state?.document.fonts ?? []);

/** Know the fonts of the site as it has become. */
export async function followFonts(doc: Doc): Promise<void> {
  const now = told(doc);
  if (doc.fontsOf === '' || now === doc.fontsOf) return;
  doc.fontsOf = now;
  doc.fonts = await client.fonts();
}

/** Fetch the site and what ships, and choose what is worked on first. */
export async function start({ doc, edits, selection, notices }: Bench): Promise<boolean> {
  try {
    await findSite(notices);
    const fonts = client.fonts();
    const [state, library] = await Promise.all([client.state(), client.library()]);
    // what is chosen first depends on what kinds there are
    doc.library = library;
    doc.take(state);
    // the page and its readings are asked for now, and do not wait for what the settings need
    selection.restore({});
    void edits.missed();
    doc.fonts = await fonts;
    doc.fontsOf = told(doc);
    return true;
  } catch (error) {
    notices.tell(error);
    return false;
  }
}

import type {
  AskedBeginning,
  Asset,
  BannerLine,
  BeginLine,
  BlendLook,
  BroughtFound,
  BuildUp,
  CalendarFound,
  Colour,
  Crop,
  CropFacts,
  DailyCopy,
  Edit,
  EverywhereLine,
  Eye,
  Film,
  FitLine,
  FitWayLine,
  Font,
  Framing,
  Job,
  Library,
  Live,
  LookLine,
  Mend,
  Offers,
  Operation,
  Overlay,
  OwnFonts,
  PackingLine,
  PageLine,
  PagesFound,
  Picture,
  PublishLine,
  Readings,
  ReleasesFound,
  Rule,
  SampleLine,
  SchemeCard,
  SchemeTried,
  ScreenAreas,
  SeenPage,
  SharesFound,
  SiteName,
  SitesFound,
  SituationLine,
  SlotView,
  Spot,
  State,
  Step,
  Stock,
  TakenAway,
  TimeLine,
  Way,
  Weights,
  WidthLine,
  WordsLine,
} from './types';
import { answer, OFFLINE, Refused } from './answer';
import { lines } from './lines';
import { patched } from './patch';
import { ofSite } from './site';
import { window } from './window';

function get<T>(path: string): Promise<T> {
  return answer<T>(fetch(ofSite(path), { headers: window() }));
}

const headers = () => ({ 'content-type': 'application/json', ...window() });

function post<T>(path: string, body: unknown, signal?: AbortSignal): Promise<T> {
  return answer<T>(
    fetch(ofSite(path), { method: 'POST', headers: headers(), body: JSON.stringify(body), signal }),
  );
}

/** The last answers by where they came from, with the version that the server knows them by. */
const known = new Map<string, { version: string; value: unknown }>();

/** Ask for something that was asked for before: only what differs from the last answer comes over the wire. */
async function postAgain<T>(path: string, of: string, body: unknown, signal?: AbortSignal): Promise<T> {
  const key = `${path} ${of}`;
  const before = known.get(key);
  const have: Record<string, string> = before ? { 'garnetfern-have': before.version } : {};
  let response: Response | undefined;
  const found = await answer<T | Operation[]>(
    fetch(ofSite(path), {
      method: 'POST',
      headers: { ...headers(), ...have },
      body: JSON.stringify(body),
      signal,
    }).then((r) => (response = r)),
  );
  const type = response?.headers.get('content-type') ?? '';
  const differs = type.startsWith('application/json-patch+json');
  const value = differs && before ? patched(before.value as T, found as Operation[]) : (found as T);
  known.set(key, { version: response?.headers.get('garnetfern-version') ?? '', value });
  return value;
}

const FILE = { 'content-type': 'application/octet-stream' };

/** Hand in a file as it is, whatever kind the browser takes it for. */
function send<T>(path: string, file: File): Promise<T> {
  return answer<T>(fetch(ofSite(path), { method: 'POST', headers: FILE, body: file }));
}

type Asked = { revision: number; patch: Operation[]; page: string; day?: string | null };
type AskedArea = Asked & { area: string };
type AskedLayer = AskedArea & { layer: string };

export const state = () => get<State>('/api/state');
export const fonts = () => get<Font[]>('/api/fonts');
/** The bundle being packed: how far it is, then its files and the number it is fetched by. */
export const packing = (signal: AbortSignal) => lines<PackingLine>('/api/packing', {}, signal);
export const bundlePath = (number: number) => ofSite(`/api/bundle.zip?number=${number}`);
export const releases = (revision: number) => get<ReleasesFound>(`/api/releases?revision=${revision}`);
/** What the next release would be, line by line. */
export const lookAtRelease = (revision: number, signal: AbortSignal) =>
  lines<LookLine>('/api/releases/look', { revision }, signal);
export const publish = (revision: number, anyway: boolean, signal: AbortSignal) =>
  lines<PublishLine>('/api/releases/publish', { revision, anyway }, signal);
export const backToRelease = (number: number) => post<{ number: number }>('/api/releases/back', { number });
export const workOnRelease = (number: number, revision: number) =>
  post<Step>('/api/releases/work-on', { number, revision });
export const bringText = (text: string) => post<BroughtFound>('/api/bring/text', { text });
/** Read a file, together with what was read before. */
export const bringFile = (file: File, beside: number | null) =>
  send<BroughtFound>(
    `/api/bring/file?name=${encodeURIComponent(file.name)}${beside === null ? '' : `&beside=${beside}`}`,
    file,
  );
export const broughtPicture = (id: number, number: number) => ofSite(`/api/bring/picture/${id}/${number}`);
/** Put the fonts that came with it on the shelf, and read it once more. */
export const takeBroughtFonts = (revision: number, id: number) =>
  post<{ step: Step; found: BroughtFound; refused: string[] }>('/api/bring/fonts', { revision, id });
export const layBrought = (
  revision: number,
  of: { id: number; number: number; page: string; area: string; as_band: boolean },
) => post<{ step: Step; chosen: string | null }>('/api/bring/lay', { revision, ...of });
export const before = (page: string) => get<Live>(`/api/before?page=${page}`);
export const live = (asked: Asked, pointed = false, situation: string | null = null, still = false) =>
  postAgain<Live>('/api/live', asked.page, { ...asked, pointed, situation, still });
export const readings = (asked: Asked) => postAgain<Readings>('/api/readings', asked.page, asked);
export const buildUp = (asked: AskedArea & { block?: string | null }, signal: AbortSignal) =>
  postAgain<BuildUp>('/api/build-up', `${asked.page} ${asked.area}`, asked, signal);
export const overlay = (asked: AskedLayer, signal: AbortSignal) =>
  post<Overlay>('/api/overlay', asked, signal);
export const eyes = () => get<Eye[]>('/api/eyes');
/** The page through other eyes. */
export const seen = (asked: Asked & { eye: string; dials: Record<string, number> }, signal: AbortSignal) =>
  post<SeenPage>('/api/seen', asked, signal);
export const film = (asked: AskedLayer, signal: AbortSignal) => post<Film>('/api/film', asked, signal);
export const timeLine = (asked: AskedLayer, signal: AbortSignal) =>
  post<TimeLine>('/api/time-line', asked, signal);
export const change = (revision: number, patch: Operation[], label: string) =>
  post<Step>('/api/change', { revision, patch, label });
export const undo = (revision: number) => post<Step>('/api/undo', { revision });
export const redo = (revision: number) => post<Step>('/api/redo', { revision });
/** What has become of the site since a revision. */
export const since = (revision: number) => get<Step>(`/api/since?revision=${revision}`);
export const edit = (revision: number, what: Edit) =>
  post<{ step: Step; chosen: string | null }>('/api/edit', { revision, edit: what });
export const areas = (asked: Asked, signal: AbortSignal) =>
  postAgain<ScreenAreas[]>('/api/areas', asked.page, asked, signal);
export const framing = (asked: AskedLayer, signal?: AbortSignal) =>
  postAgain<Framing>('/api/framing', `${asked.page} ${asked.area} ${asked.layer}`, asked, signal);
export const pages = () => get<PagesFound>('/api/pages');
export const sites = () => get<SitesFound>('/api/sites');
export const siteNames = () => get<SiteName[]>('/api/sites/names');
export const newSite = (start: string) => post<SiteName>('/api/sites/new', { start });
export const copySite = (site: string) => post<SiteName>('/api/sites/copy', { site });
export const removeSite = (site: string) => post<SitesFound>('/api/sites/remove', { site });
export const bringSiteBack = (site: string) => post<SitesFound>('/api/sites/bring-back', { site });
export const moveSite = (site: string, to: number) => post<SitesFound>('/api/sites/move', { site, to });
/** A new site out of a site file. */
export const openAsSite = (file: File) =>
  send<SiteName>(`/api/sites/open?${new URLSearchParams({ name: file.name })}`, file);
/** Call a site otherwise, which need not be the one that is worked on. */
export const nameSite = (site: string, revision: number, name: string) =>
  answer<Step>(
    fetch(`/of/${site}/api/change`, {
      method: 'POST',
      headers: headers(),
      body: JSON.stringify({
        revision,
        patch: [{ op: 'replace', path: '/name', value: name }],
        label: `Call it ${name}`,
      }),
    }),
  );
/** Eight weeks from a day on; from this week's Monday where none is said. */
export const calendar = (first: string) =>
  get<CalendarFound>(`/api/calendar${first ? `?${new URLSearchParams({ first })}` : ''}`);
/** What is the same on which pages. */
export const shares = () => get<SharesFound>('/api/shares');
/** An overlay on every page: which is looked at, then the whole. */
export const overlayEverywhere = (asked: AskedLayer, signal: AbortSignal) =>
  lines<EverywhereLine>('/api/overlay-everywhere', asked, signal);
export const shelf = () => get<Picture[]>('/api/shelf');
export const stock = (word: string, colour: string, shape: string) =>
  get<Stock[]>(`/api/stock?${new URLSearchParams({ word, colour, shape })}`);
export const takeStock = (id: string) => post<{ asset: Asset }>(`/api/stock/${id}`, {});
export const mendFacts = (asset: string, way: Way) => post<Mend>('/api/mend/facts', { asset, way });
export const mend = (asset: string, way: Way) => post<{ asset: Asset }>('/api/mend', { asset, way });
export const slot = (revision: number, id: string) =>
  post<SlotView>('/api/slot', { revision, patch: [], slot: id });
export const crop = (revision: number, id: string, asset: string, wanted: Crop) =>
  post<CropFacts>('/api/crop', { revision, patch: [], slot: id, asset, crop: wanted });
export const weights = () => get<Weights>('/api/weights');
export const work = () => get<Job[]>('/api/work');
export const askWork = (kind: 'fit' | 'film' = 'fit') => post<Job>('/api/work', { kind });
export const stopWork = (id: number) => post<Job>(`/api/work/${id}/stop`, {});
type AskedText = { page: string; area: string; selector: string; base: string };
export const rule = ({ page, area, selector, base }: AskedText) =>
  get<Rule>(`/api/rule?${new URLSearchParams({ page, area, selector, base })}`);
/** What a host of some kind takes of a page, or of an area of it. */
export const takenAway = ({ page, area, base, way, prefix }: AskedText & { way: string; prefix: string }) =>
  get<TakenAway>(`/api/taken?${new URLSearchParams({ page, area, base, way, prefix })}`);
export const library = () => get<Library>('/api/library');
/** What can be laid into the backdrop of an area, by kind. */
export const offers = (page: string, area: string) =>
  get<Offers[]>(`/api/offers?${new URLSearchParams({ page, area })}`);
export const blends = (asked: AskedLayer, signal?: AbortSignal) =>
  post<{ looks: BlendLook[] }>('/api/blends', asked, signal);
export const colour = (text: string) => get<Colour>(`/api/colour?${new URLSearchParams({ text })}`);
export const colourAt = (asked: Asked & { screen: string; x: number; y: number }) =>
  post<Spot>('/api/colour-at', asked);
export const pictureColours = (asked: AskedArea) => post<string[]>('/api/picture-colours', asked);
/** Every situation of a page: how far it is, then the whole. */
export const situations = (asked: Asked, signal: AbortSignal) =>
  lines<SituationLine>('/api/situations', asked, signal);
export const widths = (asked: Asked, signal: AbortSignal) => lines<WidthLine>('/api/widths', asked, signal);
/** Whether the words of a page fit: how far it is, then the whole. */
export const fit = (asked: Asked, signal: AbortSignal) => lines<FitLine>('/api/fit', asked, signal);
/** Ways out for words that do not fit, as they are found. */
export const fitWays = (asked: Asked & { block: string; misfit: string }, signal: AbortSignal) =>
  lines<FitWayLine>('/api/fit-ways', asked, signal);
/** Ways out for one block of words, as they are found. */
export const remedies = (asked: Asked & { block: string }, signal: AbortSignal) =>
  lines<WordsLine>('/api/remedies', asked, signal);
/** Six whole banners of a band as they are made, or more like one of them. */
export const banners = (
  asked: Asked & { band: string; like: string | null; number: number },
  signal: AbortSignal,
) => lines<BannerLine>('/api/banners', asked, signal);
/** A whole page mended by one idea, up to three times; `least`: block by block. What is being tried, then all. */
export const mendPage = (asked: Asked & { least: boolean }, signal: AbortSignal) =>
  lines<PageLine>('/api/mend-page', asked, signal);
/** Put a picture and words together on a page that was only begun, so that they can be read. */
export const begin = (asked: AskedBeginning, signal: AbortSignal) =>
  lines<BeginLine>('/api/begin', asked, signal);
/** Make the sites of the sample, or find them. */
export const openSample = (signal: AbortSignal) => lines<SampleLine>('/api/sites/sample', {}, signal);
export const takeVisits = (file: File, revision: number) =>
  send<Step>(`/api/visits?revision=${revision}`, file);
export const schemes = () => get<SchemeCard[]>('/api/schemes');
export const scheme = (revision: number, which: string, turn: number, strength: number) =>
  post<SchemeTried>('/api/scheme', { revision, which, turn, strength });
const sendSiteFile = (where: string, file: File, revision: number) =>
  send<Step>(`/api/${where}?${new URLSearchParams({ revision: String(revision), name: file.name })}`, file);

export const copies = () => get<DailyCopy[]>('/api/copies');
/** Put the site of a daily copy in place of the present one. */
export const bringBack = (revision: number, day: string) =>
  post<Step>('/api/copies/bring-back', { revision, day });
export const openSiteFile = (file: File, revision: number) => sendSiteFile('site-file', file, revision);
/** Take the saved looks and gradients of another site's file. */
export const takeLooks = (file: File, revision: number) => sendSiteFile('looks-of', file, revision);

type Told = (done: number) => void;

/** Hand in a picture; `progress` is told fractions from 0 to 1, and `signal` stops it. */
export const addPicture = (file: File, progress: Told, signal: AbortSignal) =>
  handIn<{ asset: Asset; healed?: boolean }>('/api/pictures', { name: file.name }, file, progress, signal);

/** Hand in a font, which becomes a step of its own. */
export const addFont = (file: File, revision: number, progress: Told, signal: AbortSignal) =>
  handIn<Step>('/api/own-fonts', { name: file.name, revision: `${revision}` }, file, progress, signal);

export const ownFonts = () => get<OwnFonts>('/api/own-fonts');

function handIn<T>(
  path: string,
  said: Record<string, string>,
  file: File,
  progress: Told,
  signal: AbortSignal,
): Promise<T> {
  return new Promise((resolve, reject) => {
    const request = new XMLHttpRequest();
    request.open('POST', ofSite(`${path}?${new URLSearchParams(said)}`));
    request.setRequestHeader('content-type', FILE['content-type']);
    request.responseType = 'json';
    request.upload.onprogress = (event) => progress(event.total ? event.loaded / event.total : 0);
    request.onload = () => {
      if (request.status === 200) resolve(request.response);
      else reject(new Refused(request.status, request.response ?? OFFLINE));
    };
    request.onerror = () => reject(new Refused(0, OFFLINE));
    request.onabort = () => reject(new DOMException('stopped', 'AbortError'));
    signal.addEventListener('abort', () => request.abort());
    request.send(file);
  });
}

import type {
  Asset,
  BlendLook,
  BuildUp,
  BundleFile,
  Colour,
  Crop,
  DailyCopy,
  CropFacts,
  Edit,
  Font,
  Framing,
  Job,
  Library,
  Live,
  Mend,
  Operation,
  Overlay,
  PageLine,
  Picture,
  Problem,
  Reading,
  Rule,
  SchemeCard,
  SchemeTried,
  ScreenAreas,
  Situations,
  SlotView,
  Spot,
  State,
  Stock,
  Way,
  Weights,
  Widths,
  WordsLine,
} from './types';
import { lines } from './lines';

/** What the server refused, with its place in the document. */
export class Refused extends Error {
  readonly status: number;
  readonly problem: Problem;

  constructor(status: number, problem: Problem) {
    super(problem.message);
    this.status = status;
    this.problem = problem;
  }
}

const OFFLINE: Problem = {
  kind: 'offline',
  message: 'The application does not answer. What was kept is safe; it goes on as soon as it answers again.',
  path: '$',
};

async function answer<T>(call: Promise<Response>): Promise<T> {
  let response: Response;
  try {
    response = await call;
  } catch (error) {
    if (error instanceof DOMException && error.name === 'AbortError') throw error;
    throw new Refused(0, OFFLINE);
  }
  const body: unknown = await response.json().catch((error: unknown) => {
    if (error instanceof DOMException && error.name === 'AbortError') throw error;
    return null;
  });
  if (!response.ok) throw new Refused(response.status, (body as Problem | null) ?? OFFLINE);
  return body as T;
}

function get<T>(path: string): Promise<T> {
  return answer<T>(fetch(path));
}

function post<T>(path: string, body: unknown, signal?: AbortSignal): Promise<T> {
  const headers = { 'content-type': 'application/json' };
  return answer<T>(fetch(path, { method: 'POST', headers, body: JSON.stringify(body), signal }));
}

const FILE = { 'content-type': 'application/octet-stream' };

/** Hand in a file as it is, whatever kind the browser takes it for. */
function send<T>(path: string, file: File): Promise<T> {
  return answer<T>(fetch(path, { method: 'POST', headers: FILE, body: file }));
}

type Asked = { revision: number; patch: Operation[]; page: string };
type AskedArea = Asked & { area: string };
type AskedLayer = AskedArea & { layer: string };

export const state = () => get<State>('/api/state');
export const fonts = () => get<Font[]>('/api/fonts');
export const bundleFiles = () => get<BundleFile[]>('/api/bundle');
export const before = (page: string) => get<Live>(`/api/before?page=${page}`);
export const live = (asked: Asked, pointed = false, situation: string | null = null) =>
  post<Live>('/api/live', { ...asked, pointed, situation });
export const readings = (asked: Asked) => post<{ readings: Reading[] }>('/api/readings', asked);
export const buildUp = (asked: AskedArea & { block?: string | null }, signal: AbortSignal) =>
  post<BuildUp>('/api/build-up', asked, signal);
export const overlay = (asked: AskedLayer, signal: AbortSignal) =>
  post<Overlay>('/api/overlay', asked, signal);
export const change = (revision: number, patch: Operation[], label: string) =>
  post<State>('/api/change', { revision, patch, label });
export const undo = (revision: number) => post<State>('/api/undo', { revision });
export const redo = (revision: number) => post<State>('/api/redo', { revision });
export const edit = (revision: number, what: Edit) =>
  post<{ state: State; chosen: string | null }>('/api/edit', { revision, edit: what });
export const areas = (asked: Asked, signal: AbortSignal) => post<ScreenAreas[]>('/api/areas', asked, signal);
export const framing = (asked: AskedLayer, signal?: AbortSignal) =>
  post<Framing>('/api/framing', asked, signal);
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
export const askWork = () => post<Job>('/api/work', { kind: 'fit' });
export const stopWork = (id: number) => post<Job>(`/api/work/${id}/stop`, {});
export const rule = (page: string, area: string, selector: string) =>
  get<Rule>(`/api/rule?${new URLSearchParams({ page, area, selector })}`);
export const library = () => get<Library>('/api/library');
export const blends = (asked: AskedLayer, signal?: AbortSignal) =>
  post<{ looks: BlendLook[] }>('/api/blends', asked, signal);
export const colour = (text: string) => get<Colour>(`/api/colour?${new URLSearchParams({ text })}`);
export const colourAt = (asked: Asked & { screen: string; x: number; y: number }) =>
  post<Spot>('/api/colour-at', asked);
export const pictureColours = (asked: AskedArea) => post<string[]>('/api/picture-colours', asked);
export const situations = (asked: Asked, signal?: AbortSignal) =>
  post<Situations>('/api/situations', asked, signal);
export const widths = (asked: Asked, signal?: AbortSignal) => post<Widths>('/api/widths', asked, signal);
/** Ways out for one block of words, as they are found. */
export const remedies = (asked: Asked & { block: string }, signal: AbortSignal) =>
  lines<WordsLine>('/api/remedies', asked, signal);
/** A whole page mended: what is being done, then the whole. */
export const mendPage = (asked: Asked, signal: AbortSignal) =>
  lines<PageLine>('/api/mend-page', asked, signal);
export const takeVisits = (file: File, revision: number) =>
  send<State>(`/api/visits?revision=${revision}`, file);
export const schemes = () => get<SchemeCard[]>('/api/schemes');
export const scheme = (revision: number, which: string, turn: number, strength: number) =>
  post<SchemeTried>('/api/scheme', { revision, which, turn, strength });
const sendSiteFile = (where: string, file: File, revision: number) =>
  send<State>(`/api/${where}?${new URLSearchParams({ revision: String(revision), name: file.name })}`, file);

export const copies = () => get<DailyCopy[]>('/api/copies');
/** Put the site of a daily copy in place of the present one. */
export const bringBack = (revision: number, day: string) =>
  post<State>('/api/copies/bring-back', { revision, day });
export const openSiteFile = (file: File, revision: number) => sendSiteFile('site-file', file, revision);
/** Take the saved looks and gradients of another site's file. */
export const takeLooks = (file: File, revision: number) => sendSiteFile('looks-of', file, revision);

/** Hand in a picture; `progress` is told fractions from 0 to 1, and `signal` stops it. */
export function addPicture(
  file: File,
  progress: (done: number) => void,
  signal: AbortSignal,
): Promise<{ asset: Asset; healed?: boolean }> {
  return new Promise((resolve, reject) => {
    const request = new XMLHttpRequest();
    request.open('POST', `/api/pictures?${new URLSearchParams({ name: file.name })}`);
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

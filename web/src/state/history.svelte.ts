import { siteId, siteInAddress } from '../api/site';
import { isStep, read, write, type Address } from './address';
import type { Bench } from './bench';

/** Where the bench is, as an address. */
function addressOf({ banners, eyes, place, selection, sight, ways }: Bench): Address {
  const { page, area, card, block, scope } = selection.chosen;
  return {
    view: place.view,
    site: siteInAddress(),
    page,
    area,
    card,
    block: card === 'words' ? block || undefined : undefined,
    scope: scope ?? undefined,
    screen: sight.forward ?? undefined,
    situation: sight.situation?.id ?? (sight.pointed ? 'pointed' : undefined),
    eyes: eyes.said || undefined,
    day: selection.day ?? undefined,
    tab: place.tab || undefined,
    item: place.item || undefined,
    panel: place.panel || (ways.open ? 'ways' : banners.open ? 'banners' : undefined),
  };
}

/** Go where an address says. What is not there any more is left out. */
async function goTo(bench: Bench, address: Address): Promise<void> {
  const { banners, doc, eyes, place, selection, sight, ways, findings } = bench;
  selection.restore({ ...address, scope: address.scope ?? null });
  selection.look(/^\d{4}-\d{2}-\d{2}$/.test(address.day ?? '') ? (address.day ?? null) : null);
  place.view = address.view;
  place.tab = address.tab ?? '';
  place.item = address.item ?? '';
  place.panel = address.panel && address.panel !== 'ways' && address.panel !== 'banners' ? address.panel : '';
  if (address.panel === 'ways') ways.begin(address.block);
  else ways.close();
  if (address.panel === 'banners') banners.begin();
  else banners.close();
  sight.bring(doc.screens.some((s) => s.id === address.screen) ? (address.screen ?? null) : null);
  void eyes.restore(address.eyes ?? '');
  const { situation } = address;
  if (situation === 'pointed') return sight.point(true);
  if ((situation ?? null) === (sight.situation?.id ?? null) && !sight.pointed) return;
  if (!situation) return sight.meet(null);
  await findings.lookAtEvery();
  sight.meet(findings.everyNow?.situations.find((s) => s.id === situation) ?? null);
}

/** Keep the address true to where the bench is, and the bench to the address when the browser goes back or forward. */
export function keepAddress(bench: Bench): void {
  let at = read(window.location.search);
  let going = true;

  /** Where an address leads is said in full in its own place: Back leads to what was before it. */
  async function arrive(): Promise<void> {
    going = true;
    try {
      await goTo(bench, at);
    } finally {
      at = addressOf(bench);
      window.history.replaceState(null, '', window.location.pathname + write(at));
      going = false;
    }
  }

  void arrive();
  window.addEventListener('popstate', () => {
    at = read(window.location.search);
    if (at.site && at.site !== siteId()) return window.location.reload();
    void arrive();
  });
  $effect.root(() => {
    $effect(() => {
      const next = addressOf(bench);
      if (going || write(next) === write(at)) return;
      const path = window.location.pathname + write(next);
      if (isStep(at, next)) window.history.pushState(null, '', path);
      else window.history.replaceState(null, '', path);
      at = next;
    });
  });
}

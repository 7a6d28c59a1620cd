<script lang="ts">
  /** Coordinated colours tried on the whole site, beside the present ones; taken on, changed, or left. */
  import { RANGES } from '../api/ranges';
  import * as client from '../api/client';
  import type { Operation, SchemeCard, SchemeTried, Site } from '../api/types';
  import ColourField from '../parts/ColourField.svelte';
  import { within } from '../parts/numbers';
  import NumberField from '../parts/NumberField.svelte';
  import TryFrame from './TryFrame.svelte';
  import { useBench } from '../state/context';
  import { given } from '../state/target';
  import { whole } from '../parts/whole';
  import { smallOf } from '../parts/thumb';

  const { doc, edits, notices, place, selection } = useBench();

  let cards = $state.raw<SchemeCard[]>([]);
  let which = $state<string | null>(null);
  let turn = $state(0);
  let strength = $state(1);
  let tried = $state.raw<SchemeTried | null>(null);
  /** The site it was tried on. */
  let of: Site | undefined;
  let colour = $state('#2f6f8f');
  let chosenPage = $state<string | null>(null);
  const page = $derived(chosenPage ?? selection.page?.id ?? 'home');
  let told = $state('');
  const revision = $derived(doc.state?.revision ?? 0);
  const screen = $derived(doc.screens.toSorted((a, b) => b.width - a.width)[0]);
  const patch = $derived<Operation[]>((tried?.patch ?? []) as Operation[]);

  $effect(() => {
    void revision;
    client
      .schemes()
      .then((found) => (cards = found))
      .catch((error: unknown) => notices.tell(error));
  });

  $effect(() => {
    if (which === null) {
      tried = null;
      return;
    }
    const asked = which;
    client
      .scheme(revision, asked, turn, strength)
      .then((found) => {
        if (which !== asked || revision !== doc.revision) return;
        tried = found;
        of = doc.state?.document;
      })
      .catch((error: unknown) => notices.tell(error));
  });

  $effect(() => {
    told = '';
    if (patch.length === 0) return;
    const asked = { revision, patch, page };
    const timer = setTimeout(() => {
      client
        .readings(asked)
        .then((found) => (told = found.sentence))
        .catch(() => {});
    }, 300);
    return () => clearTimeout(timer);
  });

  function look(id: string): void {
    which = id;
    turn = 0;
    strength = 1;
  }

  function accept(): void {
    if (tried)
      void edits.keep(given(patch, of), `Scheme ${tried.name}`, () => {
        which = null;
        place.go('bench');
      });
  }
</script>

<main class="schemes">
  <section class="foot-room flex min-h-0 flex-col gap-2 overflow-y-auto" aria-label="Schemes">
    <h2 class="display-face text-head">Schemes</h2>
    <p class="muted text-small">
      Each moves every colour of the site to its own hues; how light a colour is stays, so that what can be
      read stays so. Pictures stay as they are.
    </p>
    <div class="ours" role="group" aria-label="Our schemes">
      {#each cards as card (card.id)}
        <button type="button" class="scheme" aria-pressed={which === card.id} onclick={() => look(card.id)}>
          <span class="truncate">{card.name}</span>
          <span class="dabs">
            {#each card.palette as dab, n (n)}<i style:background={dab}></i>{/each}
          </span>
        </button>
      {/each}
    </div>
    <p class="muted">From one colour</p>
    <ColourField
      tight
      label="Around"
      value={colour}
      show={() => {}}
      keep={(next) => {
        colour = next;
        look(next.slice(0, 7));
        return Promise.resolve(null);
      }}
    />
    <button type="button" class="quiet act self-start px-0" onclick={() => look(colour.slice(0, 7))}
      >Try it around this colour</button
    >
    <p class="muted">From a picture</p>
    <div class="flex flex-wrap gap-1">
      {#each doc.site?.assets ?? [] as asset (asset.id)}
        <button
          type="button"
          class="thumb"
          aria-label="A scheme from {asset.name}"
          aria-pressed={which === asset.id}
          title={asset.name}
          style:background-image={smallOf(asset)}
          onclick={() => look(asset.id)}
        ></button>
      {/each}
    </div>
  </section>
  <section class="flex min-h-0 min-w-0 flex-col gap-2" aria-label="Tried on">
    <div class="flex min-h-[44px] flex-wrap items-end gap-x-4 gap-y-1">
      <select
        {@attach whole}
        class="field"
        aria-label="Page to try it on"
        value={page}
        onchange={(e) => (chosenPage = e.currentTarget.value)}
      >
        {#each doc.site?.pages ?? [] as one (one.id)}<option value={one.id}>{one.title}</option>{/each}
      </select>
      {#if tried}
        <div class="w-[76px]">
          <NumberField
            label="Turn hues"
            value={turn}
            unit="°"
            {...within(RANGES.AskedScheme.turn)}
            step={5}
            show={(next) => (turn = next)}
            keep={(next) => {
              turn = next;
              return Promise.resolve(null);
            }}
          />
        </div>
        <div class="w-[84px]">
          <NumberField
            label="Strength"
            value={Math.round(strength * 100)}
            unit="%"
            {...within(RANGES.AskedScheme.strength, 100)}
            step={5}
            show={(next) => (strength = next / 100)}
            keep={(next) => {
              strength = next / 100;
              return Promise.resolve(null);
            }}
          />
        </div>
        <p class="told min-w-0 flex-1 truncate" title={told} role="status">{told}</p>
        <button type="button" class="quiet" onclick={() => (which = null)}>Leave it</button>
        <button type="button" class="btn btn-primary h-[30px] min-h-0 px-3" onclick={accept}
          >Take it on</button
        >
      {:else}
        <p class="muted">
          Choose a scheme to see it beside the present one. Nothing changes until you take it on.
        </p>
      {/if}
    </div>
    {#if screen}
      <div class="flex min-h-0 flex-1 gap-5">
        <TryFrame {page} {screen} patch={[]} title="As it is" />
        {#if tried}<TryFrame {page} {screen} {patch} title="In {tried.name}" />{/if}
      </div>
    {/if}
  </section>
</main>

<style>
  .schemes {
    display: grid;
    flex: 1;
    grid-template-columns: 292px minmax(0, 1fr);
    gap: 24px;
    min-height: 0;
    padding: 12px 24px;
  }
  @container frame (max-width: 820px) {
    .schemes {
      display: flex;
      flex-direction: column;
      padding: 8px 16px;
      overflow-y: auto;
    }
    .schemes > :global(section) {
      flex: none;
    }
    .schemes > :global(:last-child) {
      height: max(320px, 70cqh);
    }
    /* a row of its own, below what is set */
    .told {
      order: 1;
      flex: 1 0 100%;
      min-height: 1.5em;
      white-space: normal;
    }
  }

  /* room for those that ship, so that nothing moves when they come */
  .ours {
    display: flex;
    flex-direction: column;
    min-height: calc(12 * 32px);
  }
  .scheme {
    display: flex;
    align-items: center;
    justify-content: space-between;
    gap: 8px;
    min-height: 32px;
    padding: 0 6px;
    cursor: pointer;
    border-left: 3px solid transparent;
  }
  .scheme:hover {
    background: color-mix(in oklab, var(--color-base-content) 7%, transparent);
  }
  .scheme[aria-pressed='true'] {
    border-color: var(--color-primary);
    font-weight: 600;
  }
  .dabs {
    display: flex;
    flex: none;
  }
  .dabs i {
    width: 20px;
    height: 20px;
  }
  .thumb {
    width: 52px;
    height: 34px;
    background-size: cover;
    background-position: center;
    border: 1px solid var(--color-base-300);
    cursor: pointer;
  }
  .thumb[aria-pressed='true'] {
    box-shadow: 0 0 0 2px var(--color-primary);
  }
</style>

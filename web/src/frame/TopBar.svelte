<script lang="ts">
  /** The views by the order of the work, the way back, and what belongs to the whole application. */
  import Redo from '@lucide/svelte/icons/redo-2';
  import Undo from '@lucide/svelte/icons/undo-2';
  import EyesPanel from '../eyes/EyesPanel.svelte';
  import Menu from '../parts/Menu.svelte';
  import ScreensMenu from '../parts/ScreensMenu.svelte';
  import Shortcuts from '../parts/Shortcuts.svelte';
  import { useBench } from '../state/context';
  import { GROUPS, VIEWS } from '../views';
  import ThemeButton from './ThemeButton.svelte';

  const { doc, edits, place, sight } = useBench();

  const kept = $derived(
    doc.state
      ? new Date(doc.state.kept).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })
      : '',
  );
  const name = $derived(VIEWS.find((v) => v.id === place.view)?.name ?? '');
  const groups = GROUPS.map(({ title, views }) => ({
    title,
    actions: VIEWS.filter((v) => views.includes(v.id)).map((v) => ({
      id: v.id,
      name: v.name,
      note: v.note,
      run: () => place.go(v.id),
    })),
  }));
</script>

<header class="bar">
  <h1 class="sr-only">Garnetfern</h1>
  <button
    type="button"
    class="display-face sign"
    title="{doc.site?.name}: all sites"
    aria-label="Sites, {doc.site?.name} is open"
    aria-current={place.view === 'sites' ? 'page' : undefined}
    onclick={() => place.go('sites')}>{doc.site?.name ?? 'Garnetfern'}</button
  >
  <nav class="views" aria-label="Views">
    {#each GROUPS.slice(1) as { title, views } (title)}
      <div class="group" role="group" aria-label={title}>
        {#each VIEWS.filter((v) => views.includes(v.id)) as view (view.id)}
          <button
            type="button"
            class="view"
            title={view.note}
            aria-current={place.view === view.id ? 'page' : undefined}
            onclick={() => place.go(view.id)}>{view.name}</button
          >
        {/each}
      </div>
    {/each}
  </nav>
  <div class="folded">
    <Menu label="Views" {groups} {name} says="View: {name}" />
  </div>
  <div class="tools">
    <span class="muted kept" role="status">{kept ? `Kept ${kept}` : ''}</span>
    <button
      type="button"
      class="quiet icon"
      aria-label="Undo"
      disabled={!doc.state?.undo}
      title={doc.state?.undo ? `Undo: ${doc.state.undo} (Ctrl Z)` : 'Nothing to undo'}
      onclick={() => void edits.move('undo')}><Undo size={17} aria-hidden="true" /></button
    >
    <button
      type="button"
      class="quiet icon"
      aria-label="Redo"
      disabled={!doc.state?.redo}
      title={doc.state?.redo ? `Redo: ${doc.state.redo} (Ctrl Shift Z)` : 'Nothing to redo'}
      onclick={() => void edits.move('redo')}><Redo size={17} aria-hidden="true" /></button
    >
    <button
      type="button"
      class="quiet"
      aria-pressed={sight.holding}
      disabled={!doc.state?.undo && doc.draft.length === 0}
      title="Hold to see the state before (B)"
      onpointerdown={() => void sight.hold()}
      onpointerup={() => sight.release()}
      onpointercancel={() => sight.release()}
      onpointerleave={() => sight.release()}>Before</button
    >
    <span class="seldom"><EyesPanel /></span>
    <span class="seldom"><ScreensMenu /></span>
    <span class="seldom"><ThemeButton /></span>
    <span class="seldom"><Shortcuts /></span>
    <button
      type="button"
      class="btn btn-primary h-[30px] min-h-0 px-3.5 whitespace-nowrap"
      title="The page alone (V)"
      onclick={() => place.open('in-place')}>In place</button
    >
  </div>
</header>

<style>
  .bar {
    display: flex;
    flex: none;
    align-items: center;
    gap: 20px;
    height: 44px;
    padding: 0 24px;
    white-space: nowrap;
    border-bottom: 1px solid var(--color-base-300);
  }
  .sign {
    flex: 0 1 auto;
    min-width: 60px;
    max-width: 200px;
    overflow: hidden;
    text-overflow: ellipsis;
    font-size: var(--text-title);
    color: var(--color-primary);
    border-block: 2px solid transparent;
    cursor: pointer;
  }
  .sign[aria-current] {
    border-bottom-color: var(--color-primary);
  }
  .views,
  .group {
    display: flex;
    height: 100%;
  }
  .group + .group {
    margin-left: 8px;
    padding-left: 8px;
    background: linear-gradient(var(--color-base-300), var(--color-base-300)) 0 50% / 1px 20px no-repeat;
  }
  .view {
    padding: 0 11px;
    border-bottom: 2px solid transparent;
    border-top: 2px solid transparent;
    cursor: pointer;
  }
  .view:hover {
    color: var(--color-primary);
  }
  .view[aria-current] {
    border-bottom-color: var(--color-primary);
    font-weight: 600;
  }
  .folded {
    display: none;
    font-weight: 600;
  }
  .tools {
    display: flex;
    align-items: center;
    gap: 4px;
    margin-left: auto;
  }
  .tools > :last-child {
    margin-left: 8px;
  }
  .icon {
    display: grid;
    place-items: center;
    min-width: 30px;
  }
  .kept {
    /* as wide as it will be */
    min-width: 84px;
    padding-right: 8px;
    font-size: var(--text-small);
  }
  @container frame (max-width: 1380px) {
    .bar {
      gap: 14px;
    }
    .view {
      padding: 0 6px;
    }
    .kept {
      position: absolute;
      clip-path: inset(50%);
    }
  }
  @container frame (max-width: 1170px) {
    .bar {
      gap: 10px;
      padding: 0 16px;
    }
  }
  @container frame (max-width: 1170px) {
    .views,
    .sign {
      display: none;
    }
    .folded {
      display: block;
    }
  }
  @container frame (max-width: 560px) {
    .bar {
      flex-wrap: wrap;
      height: auto;
      min-height: 44px;
      padding: 4px 8px;
      gap: 0 4px;
    }
    .sign {
      display: none;
    }
    .tools {
      flex-wrap: wrap;
      justify-content: flex-end;
      gap: 0;
    }
    .tools > :last-child {
      margin-left: 2px;
      padding: 0 8px;
    }
    .tools .quiet,
    .tools :global(.quiet) {
      padding: 2px 5px;
    }
    .icon {
      min-width: 28px;
    }
  }
</style>

<script lang="ts">
  import { ofSite } from '../api/site';
  import * as client from '../api/client';
  import type { Rule } from '../api/types';
  import type { Area } from '../state/tree';
  import Bundle from './Bundle.svelte';
  import Copies from './Copies.svelte';
  import Weights from './Weights.svelte';
  import { useBench } from '../state/context';
  import { whole } from '../parts/whole';

  const { doc, edits, notices, selection } = useBench();

  let selector = $state('.banner');
  let rule = $state.raw<Rule | null>(null);
  /** Whether the first rule is there, or will not come; what stands beneath would jump before. */
  let written = $state(false);
  /** Whether the daily copies are there, or will not come: the same for what stands beneath in a narrow window. */
  let counted = $state(false);
  let copied = $state(false);
  let packing = $state('');
  let problem = $state<string | null>(null);

  $effect(() => {
    const page = selection.page?.id;
    const area = selection.area?.id;
    const name = selector.trim() || '.banner';
    if (!page || !area || !doc.state) return;
    client
      .rule(page, area, name)
      .then((found) => (rule = found))
      .catch((error: unknown) => notices.tell(error))
      .finally(() => (written = true));
  });

  const areaName = (area: Area) => (area.column ? `${area.band?.name}: ${area.name}` : area.name);
  async function copy(): Promise<void> {
    if (!rule) return;
    await navigator.clipboard.writeText(rule.css);
    copied = true;
    setTimeout(() => (copied = false), 2000);
  }

  async function download(path: string, name: string): Promise<void> {
    packing = name;
    try {
      const response = await fetch(path);
      if (!response.ok) throw new Error((await response.json()).message);
      const link = document.createElement('a');
      link.href = URL.createObjectURL(await response.blob());
      link.download = name;
      link.click();
      URL.revokeObjectURL(link.href);
    } catch (error) {
      notices.tell(error);
    } finally {
      packing = '';
    }
  }

  async function open(event: Event & { currentTarget: HTMLInputElement }): Promise<void> {
    const file = event.currentTarget.files?.[0];
    event.currentTarget.value = '';
    if (!file) return;
    problem = null;
    packing = 'open';
    const refused = await edits.exchange((revision) => client.openSiteFile(file, revision));
    packing = '';
    problem = refused ? `${file.name}: ${refused.message}` : null;
    if (!refused)
      notices.notice = { text: `${file.name} is open. Undo brings back what was here.`, tone: 'plain' };
  }
</script>

<main
  class="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_380px] content-start gap-8 overflow-y-auto px-6 py-4 max-[900px]:grid-cols-1"
>
  <section aria-labelledby="rule" class="flex min-w-0 flex-col">
    <h2 id="rule" class="display-face text-head">One rule for your stylesheet</h2>
    <div class="flex flex-wrap items-end gap-4 py-2">
      <label>
        <span class="muted block pb-0.5 text-small">Area</span>
        <select
          {@attach whole}
          class="field"
          value={selection.area?.id}
          onchange={(e) => selection.choose(e.currentTarget.value)}
        >
          {#each selection.areas as area (area.id)}<option value={area.id}>{areaName(area)}</option>{/each}
        </select>
      </label>
      <label>
        <span class="muted block pb-0.5 text-small">Its selector on your site</span>
        <input class="field w-56" bind:value={selector} maxlength="200" spellcheck="false" />
      </label>
      <button
        type="button"
        class="btn btn-primary h-[30px] min-h-0"
        disabled={!rule}
        onclick={() => void copy()}
      >
        {copied ? 'Copied' : 'Copy the rule'}
      </button>
    </div>
    <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
    <pre class="rule" role="region" tabindex="0" aria-label="The rule">{rule?.css ?? ''}</pre>
    {#if rule && rule.left_out.length > 0}
      <h3 class="pt-3 font-semibold">What one rule cannot say</h3>
      <ul class="list-disc pl-5">
        {#each rule.left_out as line (line)}<li>{line}</li>{/each}
      </ul>
    {/if}
    {#if written}
      <p class="muted pt-3">Its picture files lie in the bundle, in the folder pictures.</p>
      <div
        class="mt-6 grid grid-cols-[repeat(auto-fit,minmax(230px,1fr))] gap-8 border-t border-base-300 pt-4"
      >
        <section aria-labelledby="file">
          <h2 id="file" class="display-face text-head">The site as one file</h2>
          <p class="py-1.5">
            Everything that is needed to go on elsewhere: site.json and the original pictures.
          </p>
          <div class="flex gap-2">
            <button
              type="button"
              class="btn btn-outline h-[32px] min-h-0"
              disabled={packing !== ''}
              onclick={() => void download(ofSite('/api/site-file'), 'site.garnetfern.zip')}
              >Save to a file</button
            >
            <label class="btn btn-outline h-[32px] min-h-0">
              {packing === 'open' ? 'Opening …' : 'Open a file'}
              <input
                type="file"
                class="sr-only"
                accept=".zip"
                aria-label="Open a site file"
                onchange={open}
              />
            </label>
          </div>
          <p class="muted pt-1.5">
            Opening puts it in place of what is here, as one step that Undo takes back.
          </p>
          {#if problem}<p role="alert" class="pt-1.5 text-error">{problem}</p>{/if}
        </section>
        <Copies known={() => (counted = true)} />
      </div>
    {/if}
  </section>

  {#if counted}
    <div class="flex flex-col gap-6">
      <Bundle save={download} />
      <Weights />
    </div>
  {/if}
</main>

<style>
  .rule {
    overflow: auto;
    padding: 12px 14px;
    background: color-mix(in oklab, var(--color-base-100) 70%, var(--color-base-200));
    border: 1px solid var(--color-base-300);
    font-size: var(--text-small);
    white-space: pre-wrap;
    overflow-wrap: anywhere;
  }
</style>

<script lang="ts">
  /** One area, or header and banner, for hosts of several kinds: a rule, part of a page, inline, pictures. */
  import * as client from '../api/client';
  import { ofSite } from '../api/site';
  import type { TakenAway } from '../api/types';
  import Tabs from '../parts/Tabs.svelte';
  import { whole } from '../parts/whole';
  import { useBench } from '../state/context';
  import { Latest } from '../state/latest';
  import type { Area } from '../state/tree';
  import TextToCopy from './TextToCopy.svelte';

  type Props = {
    /** Told once something is there, or will not come. */
    known: () => void;
    save: (path: string, name: string) => Promise<void>;
  };
  let { known, save }: Props = $props();
  const { doc, notices, selection } = useBench();

  const WAYS = [
    { id: 'rule', name: 'One rule' },
    { id: 'part', name: 'Part of a page' },
    { id: 'inline', name: 'An HTML field' },
    { id: 'pictures', name: 'Pictures' },
  ] as const;
  const NOTES = {
    rule: 'What lies behind the words of one area, for a stylesheet of your own.',
    part: 'Header and banner of this page. Nothing of your page reaches in, and nothing of it reaches out, but for what is said with !important.',
    inline: 'One band with its words, for fields that take HTML and no stylesheet.',
    pictures: 'The pictures behind one area as picture elements, in the sizes that screens need.',
  } as const;
  type Way = (typeof WAYS)[number]['id'];
  let way = $state<Way>('rule');
  let selector = $state('.banner');
  let prefix = $state('ours');
  let base = $state('');
  let found = $state.raw<TakenAway | null>(null);
  let problem = $state('');
  const asking = new Latest();

  const areaName = (area: Area) => (area.column ? `${area.band?.name}: ${area.name}` : area.name);
  const asked = $derived({
    page: selection.page?.id ?? '',
    area: selection.area?.id ?? '',
    selector: selector.trim() || '.banner',
    base: base.trim(),
  });

  $effect(() => {
    if (!asked.page || !asked.area || !doc.state) return;
    const wanted = { way, ...asked, prefix: prefix.trim(), revision: doc.revision };
    asking.run(async () => {
      try {
        found = await ask(wanted);
        problem = '';
      } catch (error) {
        found = null;
        problem = error instanceof Error ? error.message : 'It cannot be put together now.';
      }
      known();
    });
  });

  async function ask(wanted: typeof asked & { way: Way; prefix: string }): Promise<TakenAway> {
    if (wanted.way !== 'rule') return client.takenAway(wanted);
    const rule = await client.rule(wanted);
    return {
      texts: [{ name: 'CSS', where: 'In your stylesheet, in place of your own rule.', text: rule.css }],
      left_out: rule.left_out,
    };
  }

  async function copy(text: string): Promise<boolean> {
    try {
      await navigator.clipboard.writeText(text);
      return true;
    } catch (error) {
      notices.tell(error);
      return false;
    }
  }
</script>

<section aria-labelledby="ways" class="flex min-w-0 flex-col">
  <h2 id="ways" class="display-face pb-1 text-head">For a place of your own</h2>
  <Tabs label="Where it goes" tabs={WAYS} value={way} choose={(id) => (way = id)}>
    <p class="pt-2">{NOTES[way]}</p>
    <div class="flex flex-wrap items-end gap-x-4 gap-y-2 py-2">
      {#if way !== 'part'}
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
      {/if}
      {#if way === 'rule'}
        <label>
          <span class="muted block pb-0.5 text-small">Its selector on your site</span>
          <input class="field w-44" bind:value={selector} maxlength="200" spellcheck="false" />
        </label>
      {:else if way === 'part'}
        <label>
          <span class="muted block pb-0.5 text-small">What its classes begin with</span>
          <input class="field w-44" bind:value={prefix} maxlength="31" spellcheck="false" />
        </label>
      {/if}
      <label class="min-w-0 flex-1">
        <span class="muted block pb-0.5 text-small"
          >Where the folders of the bundle lie, seen from there{base.trim() === '' ? ': beside it' : ''}</span
        >
        <input
          class="field w-full"
          bind:value={base}
          maxlength="200"
          spellcheck="false"
          placeholder="../ or https://example.org/ferns/"
        />
      </label>
    </div>
    {#if problem}<p role="alert" class="text-error">{problem}</p>{/if}
    {#each found?.texts ?? [] as text (text.name)}
      <TextToCopy
        {text}
        label={way === 'rule' ? 'The rule' : text.name}
        button={way === 'rule' ? 'Copy the rule' : `Copy ${text.name}`}
        {copy}
      />
    {/each}
    {#if found && found.left_out.length > 0}
      <h3 class="pt-3 font-semibold">What it leaves out</h3>
      <ul class="list-disc pl-5">
        {#each found.left_out as line (line)}<li>{line}</li>{/each}
      </ul>
    {/if}
    {#if found}
      <p class="muted pt-3">
        {way === 'rule'
          ? 'Its picture files lie in the bundle, in the folder pictures.'
          : 'The files that it names lie in the bundle.'}
        {#if way === 'rule'}
          <button
            type="button"
            class="quiet act"
            onclick={() => void save(ofSite(`/api/rule.zip?${new URLSearchParams(asked)}`), 'rule.zip')}
            >Save it with its pictures</button
          >
        {/if}
      </p>
    {/if}
  </Tabs>
</section>

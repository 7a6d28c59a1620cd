<script lang="ts">
  import { ofSite } from '../api/site';
  import * as client from '../api/client';
  import Bundle from './Bundle.svelte';
  import Copies from './Copies.svelte';
  import Ways from './Ways.svelte';
  import Weights from './Weights.svelte';
  import { useBench } from '../state/context';

  const { edits, notices } = useBench();

  /** Whether the first rule is there, or will not come; what stands beneath would jump before. */
  let written = $state(false);
  /** Whether the daily copies are there, or will not come: the same for what stands beneath in a narrow window. */
  let counted = $state(false);
  let packing = $state('');
  let problem = $state<string | null>(null);

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
  class="foot-room grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_380px] content-start gap-8 overflow-y-auto px-6 py-4 max-[900px]:grid-cols-1"
>
  <div class="flex min-w-0 flex-col">
    <Ways known={() => (written = true)} save={download} />
    {#if written}
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
  </div>

  {#if counted}
    <div class="flex flex-col gap-6">
      <Bundle save={download} />
      <Weights />
    </div>
  {/if}
</main>

<script lang="ts">
  /** The whole site as files: packed when this is looked at, in sight while it is, and handed out then. */
  import { untrack } from 'svelte';
  import * as client from '../api/client';
  import type { BundleFile } from '../api/types';
  import Progress from '../parts/Progress.svelte';
  import { useBench } from '../state/context';
  import { weight } from '../parts/weight';

  let { save }: { save: (path: string, name: string) => Promise<void> } = $props();
  const { doc, work } = useBench();
  const packing = $derived(work.packing);
  const packed = $derived(work.packed);

  $effect(() => {
    const revision = doc.state && !work.open ? doc.revision : null;
    if (revision !== null) untrack(() => void work.pack(revision));
  });

  const together = (files: BundleFile[]) => weight(files.reduce((sum, f) => sum + f.bytes, 0));

  async function download(): Promise<void> {
    await work.pack(doc.revision);
    const found = work.packed;
    if (found) await save(client.bundlePath(found.number), 'garnetfern-bundle.zip');
  }
</script>

<section aria-labelledby="bundle">
  <h2 id="bundle" class="display-face text-head">HTML, CSS and pictures</h2>
  <p class="py-1.5">
    A zip that opens from disk and looks like the screens: pages, one stylesheet each, the pictures in the
    sizes that screens need, the fonts.
  </p>
  <button
    type="button"
    class="btn btn-primary h-[32px] min-h-0"
    disabled={packing.share !== null}
    onclick={() => void download()}>Download the bundle{packed ? `, ${weight(packed.bytes)}` : ''}</button
  >
  <div class="mt-1 min-h-[32px] content-center">
    {#if packing.share !== null}
      <Progress
        label="Packing the bundle"
        share={packing.share}
        doing={packing.doing}
        stop={() => packing.stop()}
      />
    {:else if packed}
      <details>
        <summary class="cursor-pointer"
          >{packed.files.length} files, {together(packed.files)} unpacked</summary
        >
        <table class="mt-1 w-full text-small">
          <tbody>
            {#each packed.files as file (file.name)}
              <tr class="border-t border-base-300">
                <td class="max-w-0 truncate py-0.5" title={file.name}>{file.name}</td>
                <td class="w-20 text-right whitespace-nowrap">{weight(file.bytes)}</td>
              </tr>
            {/each}
          </tbody>
        </table>
      </details>
    {:else if packing.stopped}
      <p class="text-small">Packing was stopped; nothing is left of it.</p>
    {/if}
  </div>
</section>

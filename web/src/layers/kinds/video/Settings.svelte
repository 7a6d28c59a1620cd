<script lang="ts">
  /** A film: its part and its still, the readings while it plays, how it lies, and its files for visitors. */
  import type { VideoLayer } from '../../../api/types';
  import Choice from '../../../parts/Choice.svelte';
  import Differs from '../../../parts/Differs.svelte';
  import Progress from '../../../parts/Progress.svelte';
  import SecondsField from '../../../parts/SecondsField.svelte';
  import Tabs from '../../../parts/Tabs.svelte';
  import { weight } from '../../../parts/weight';
  import { whole } from '../../../parts/whole';
  import FocalPad from '../../../settings/FocalPad.svelte';
  import { useBench } from '../../../state/context';
  import { editorOf, type Values } from '../../../state/editor';
  import { on } from '../../../state/screens';
  import LayerStrength from '../../LayerStrength.svelte';
  import { footageOf, second, thumbOf } from '../../members';
  import RunOverTime from '../../RunOverTime.svelte';
  import Part from './Part.svelte';

  let { layer }: { layer: VideoLayer } = $props();
  const { doc, findings, place, selection, work } = useBench();
  const to = editorOf((chosen) => chosen.layerTarget(layer.id));

  const TABS = [
    { id: 'part', name: 'Part' },
    { id: 'place', name: 'Size and place' },
    { id: 'files', name: 'Files' },
    { id: 'strength', name: 'Strength' },
  ] as const;
  const tab = $derived(TABS.find((t) => t.id === place.tab)?.id ?? 'part');
  const SIZES = [
    { value: 'cover', name: 'Fill', note: 'cover: fills the area; what does not fit is cut off' },
    {
      value: 'contain',
      name: 'Whole',
      note: 'contain: shows all of it; what is left over shows the base colour',
    },
    { value: 'stretch', name: 'Stretch', note: "takes the area's width and height, whatever its proportion" },
  ] as const;
  const asset = $derived(doc.asset(layer.asset));
  const own = $derived(on(layer, selection.scope));
  const framing = $derived(findings.framing?.layer === layer.id ? findings.framing : null);
  const found = $derived(findings.film?.layer === layer.id ? findings.film : null);
  const job = $derived(work.films ? work.job : null);
  const period = $derived(footageOf(layer).period);
  const show = (values: Values) => to.show(values, selection.scope);
  const keep = (values: Values, label: string) => to.keep(values, label, selection.scope);
  /** Times belong to the film, whatever screen is set. */
  const time = (values: Values, label: string) => to.keep(values, label);
</script>

{#if asset}
  <Tabs label="Settings of the film" tabs={TABS} value={tab} choose={(id) => place.turn(id)}>
    <div class="flex flex-col gap-1.5 pt-1">
      {#if found?.held}<p class="text-small text-warning" role="alert">{found.held}</p>{/if}
      {#if tab === 'part'}
        <RunOverTime
          {layer}
          {period}
          high={36}
          regions={[]}
          calm="Your system asks for less motion: the screens stay with the still."
        />
        <Part {layer} {asset} />
        <div class="flex flex-wrap items-center gap-x-2 gap-y-1 text-small">
          <SecondsField
            said="from"
            label="The part begins at"
            value={layer.start ?? 0}
            most={Math.max(0, layer.end - 0.2)}
            keep={(start) => time({ start }, `Begin at ${second(start)}`)}
          />
          <SecondsField
            said="to"
            label="The part ends at"
            value={layer.end}
            least={(layer.start ?? 0) + 0.2}
            most={asset.duration ?? 600}
            keep={(end) => time({ end }, `End at ${second(end)}`)}
          />
          <SecondsField
            said="still"
            label="The still is at"
            value={layer.still ?? 0}
            most={asset.duration ?? 600}
            keep={(still) => time({ still }, `The still at ${second(still)}`)}
          />
        </div>
      {:else if tab === 'place'}
        <div class="flex gap-4">
          <div class="flex max-w-[168px] min-w-[128px] shrink-0 basis-1/3 flex-col gap-1">
            <FocalPad
              picture={thumbOf(asset, layer)}
              proportion={asset.width / asset.height}
              windows={framing?.screens ?? []}
              value={[own.focal?.[0] ?? 0.5, own.focal?.[1] ?? 0.5]}
              show={(spot) => show({ focal: spot })}
              keep={(spot) => keep({ focal: spot }, `Focal point of ${layer.name}`)}
            />
          </div>
          <div class="flex min-w-0 flex-1 flex-col gap-1.5">
            <div class="flex items-center gap-2">
              <Choice
                label="Size"
                short
                value={own.size ?? 'cover'}
                options={SIZES}
                choose={(size) => void keep({ size }, `${layer.name}: ${size}`)}
              />
              <Differs item={layer} fields={['size']} />
            </div>
            <div class="flex items-center gap-2 text-small">
              <span class="muted w-11 shrink-0">Spot</span>
              <span>drag it on the picture, or on a screen</span>
              <Differs item={layer} fields={['focal']} />
            </div>
            <p class="muted text-small">
              {asset.width} × {asset.height} px, {second(asset.duration ?? 0)}, {weight(asset.bytes)}
            </p>
          </div>
        </div>
      {:else if tab === 'files'}
        <div class="flex items-center gap-2 text-small">
          <span class="muted shrink-0">Phones get</span>
          <select
            class="field text-small"
            {@attach whole}
            aria-label="Phones get"
            value={layer.phones ?? 'film'}
            onchange={(e) =>
              void time(
                { phones: e.currentTarget.value },
                e.currentTarget.value === 'film' ? 'Phones get the film' : 'Phones get the still alone',
              )}
          >
            <option value="film">a film of their own</option>
            <option value="still">the still alone</option>
          </select>
        </div>
        {#if job}
          <Progress
            label="Making the film's files"
            share={job.done / Math.max(1, job.total)}
            doing={job.message}
            stop={job.state === 'stopping' ? undefined : () => void work.stop()}
          />
        {:else if found && found.missing > 0 && !found.held}
          <p>
            <button
              type="button"
              class="btn btn-primary h-[30px] min-h-0"
              onclick={() => void work.ask('film')}>Make {found.missing} files</button
            >
            <span class="muted text-small">Until then visitors see the still.</span>
          </p>
          {#if work.job && (work.job.state === 'failed' || work.job.state === 'stopped')}
            <p class="text-small">{work.job.message}</p>
          {/if}
        {/if}
        {#if found && found.files.length > 0}
          <ul class="text-small" aria-label="Files of the film">
            {#each found.files as file (`${file.phone} ${file.codec}`)}
              <li class="flex gap-2 border-t border-base-300 py-0.5">
                <span class="w-24">{file.phone ? 'phones' : 'wider screens'}</span>
                <span class="w-14">{file.codec}</span>
                <span class="w-24">{file.width} × {file.height}</span>
                <span class:text-warning={!file.fits}
                  >{weight(file.bytes)} of {weight(file.budget)}{file.fits ? '' : ' (over)'}</span
                >
              </li>
            {/each}
          </ul>
        {/if}
      {:else}
        <LayerStrength {layer} />
      {/if}
    </div>
  </Tabs>
{/if}

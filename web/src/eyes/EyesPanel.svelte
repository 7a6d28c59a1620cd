<script lang="ts">
  /** Which eyes the screens are looked at through, in which light, and how far that goes. */
  import Panel from '../parts/Panel.svelte';
  import { useBench } from '../state/context';

  const { eyes, place } = useBench();

  $effect(() => {
    // it may be an address that opens it
    if (place.panel === 'eyes') void eyes.know();
  });

  /** What they change is seen on the bench. */
  function opened(): void {
    if (place.view === 'bench') return;
    place.go('bench');
    place.open('eyes');
  }

  const said = (value: number, per: number, unit: string) =>
    `${(value * per).toLocaleString('en-GB', { maximumFractionDigits: 2 })}${unit ? ` ${unit}` : ''}`;
</script>

<Panel name="eyes" label="Other eyes" width={400} {opened}>
  {#snippet opener(props)}
    <button
      {...props}
      type="button"
      class="quiet"
      class:on={eyes.kind !== ''}
      title="See the screens through other eyes, or in other light (E)">Eyes</button
    >
  {/snippet}
  <p class="muted pb-1.5 text-small">
    What other people see, and in other light. Advice: what is required stays as it is.
  </p>
  <div role="radiogroup" aria-label="Through which eyes">
    <label class="eye">
      <input type="radio" name="eye" checked={eyes.kind === ''} onchange={() => eyes.choose('')} />
      <span>Your own eyes</span>
    </label>
    {#each eyes.all as eye (eye.kind)}
      {@const chosen = eyes.kind === eye.kind}
      <label class="eye" title={eye.sentence}>
        <input type="radio" name="eye" checked={chosen} onchange={() => eyes.choose(eye.kind)} />
        <span>{eye.title}</span>
      </label>
      {#if chosen}
        <div class="told">
          <p class="muted text-small">{eye.sentence}</p>
          {#each eye.dials as dial (dial.name)}
            <label class="dial">
              <span>{dial.title}</span>
              <input
                type="range"
                min={dial.least}
                max={dial.most}
                step={dial.step}
                value={eyes.at(dial.name)}
                aria-valuetext={said(eyes.at(dial.name), dial.per, dial.unit)}
                oninput={(e) => eyes.turn(dial.name, Number(e.currentTarget.value))}
              />
              <output>{said(eyes.at(dial.name), dial.per, dial.unit)}</output>
            </label>
          {/each}
        </div>
      {/if}
    {/each}
  </div>
</Panel>

<style>
  .on {
    color: var(--color-primary);
    font-weight: 600;
  }
  .eye {
    display: flex;
    align-items: center;
    gap: 8px;
    min-height: 28px;
    cursor: pointer;
  }
  .eye:hover {
    color: var(--color-primary);
  }
  .told {
    padding: 0 0 6px 21px;
  }
  .dial {
    display: grid;
    grid-template-columns: 104px 1fr 116px;
    align-items: center;
    gap: 10px;
    min-height: 28px;
  }
  .dial input {
    min-width: 0;
    accent-color: var(--color-primary);
    cursor: pointer;
  }
  .dial output {
    text-align: right;
    white-space: nowrap;
    font-variant-numeric: tabular-nums;
  }
</style>

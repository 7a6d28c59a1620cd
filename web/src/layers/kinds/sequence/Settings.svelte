<script lang="ts">
  /** Members in turn: when each is there, how they change, who belongs to them, and the settings of one. */
  import type { SequenceLayer } from '../../../api/types';
  import SecondsField from '../../../parts/SecondsField.svelte';
  import { whole } from '../../../parts/whole';
  import Scope from '../../../parts/Scope.svelte';
  import Tabs from '../../../parts/Tabs.svelte';
  import { useBench } from '../../../state/context';
  import { layerEditor } from '../../change';
  import { settingsOf } from '../../kinds';
  import LayerStrength from '../../LayerStrength.svelte';
  import { gradientsOf, second } from '../../members';
  import Members from './Members.svelte';
  import TimeLine from './TimeLine.svelte';

  let { layer }: { layer: SequenceLayer } = $props();
  const { place, selection } = useBench();
  const to = layerEditor(() => layer);

  const TABS = [
    { id: 'turns', name: 'Turns' },
    { id: 'members', name: 'Who takes turns' },
    { id: 'strength', name: 'Strength' },
  ] as const;
  const tab = $derived(TABS.find((t) => t.id === place.tab)?.id ?? 'turns');
  /** Whether the settings of the chosen member are open. */
  let inside = $state(false);
  const member = $derived(selection.member?.layer ?? null);
  const Own = $derived(member ? settingsOf(member) : null);
  const stay = $derived(layer.stay ?? 6);
  const alike = $derived(layer.members.every((m) => (m.stay ?? stay) === stay));

  /** All stay equally long. */
  function stayAll(value: number) {
    const members = layer.members.map((m) => ({ ...m, stay: null }));
    return to.keep({ stay: value, members }, `Each stays ${second(value)}`);
  }

  const begin = (begins: 'first' | 'another') =>
    void to.keep(
      { begins },
      begins === 'first' ? 'Begin with the first' : 'Begin with another at each visit',
    );
</script>

{#if inside && member && Own}
  <div class="flex items-center gap-3 pb-1">
    <button type="button" class="quiet act px-0" onclick={() => (inside = false)}>Back to the turns</button>
    <b class="truncate">{member.name}</b>
    {#if 'screens' in member}<Scope differs={Object.keys(member.screens ?? {})} />{/if}
  </div>
  {#key member.id}<Own layer={member} member />{/key}
{:else}
  <Tabs label="Settings of what takes turns" tabs={TABS} value={tab} choose={(id) => place.turn(id)}>
    <div class="flex flex-col gap-1.5 pt-1">
      {#if tab === 'turns'}
        {#if layer.members.length > 1}
          <TimeLine {layer} />
          <div class="flex flex-wrap items-center gap-x-2 gap-y-1 text-small">
            <SecondsField
              said={alike ? 'stays' : 'most stay'}
              label="Each stays"
              value={stay}
              most={600}
              step={0.5}
              keep={stayAll}
            />
            <SecondsField
              said="change"
              label="A change takes"
              value={layer.change ?? 1.5}
              most={60}
              step={0.25}
              keep={(value) =>
                to.keep({ change: value }, value === 0 ? 'Cuts' : `A change takes ${second(value)}`)}
            />
            <span class="muted">begins</span>
            <select
              class="field text-small"
              {@attach whole}
              aria-label="Begins with"
              value={layer.begins ?? 'first'}
              onchange={(e) => begin(e.currentTarget.value as 'first' | 'another')}
            >
              <option value="first">with the first</option>
              <option value="another">by lot</option>
            </select>
          </div>
        {:else}
          <p>
            One alone does not move. Add {gradientsOf(layer).length > 0 ? 'other colours' : 'a picture'} that it
            takes turns with.
          </p>
          <Members {layer} open={() => (inside = true)} />
        {/if}
      {:else if tab === 'members'}
        <Members {layer} open={() => (inside = true)} />
        <label
          class="flex items-center gap-1.5"
          title="Visitors can choose which is shown, with small buttons beside the one that stops"
        >
          <input
            type="checkbox"
            checked={layer.choosable ?? false}
            onchange={(e) =>
              void to.keep(
                { choosable: e.currentTarget.checked },
                e.currentTarget.checked ? 'Visitors choose' : 'Visitors do not choose',
              )}
          />
          Visitors can choose which is shown
        </label>
      {:else}
        <LayerStrength {layer} />
      {/if}
    </div>
  </Tabs>
{/if}

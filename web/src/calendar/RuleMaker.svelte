<script lang="ts">
  /** One more rule, put together by choosing: what about, and what. */
  import type { CalendarBand, CalendarFound, PlacingRule } from '../api/types';
  import { useBench } from '../state/context';
  import { later } from './days';
  import PageChoice from './PageChoice.svelte';
  import { aboutPages } from './rules';

  type Props = { band: CalendarBand; found: CalendarFound; day: string };
  let { band, found, day }: Props = $props();
  const { doc, edits } = useBench();

  const WEEKDAYS = ['Mondays', 'Tuesdays', 'Wednesdays', 'Thursdays', 'Fridays', 'Saturdays', 'Sundays'];
  const ABOUT = [
    { id: 'on', name: 'On' },
    { id: 'not-on', name: 'Not on' },
    { id: 'between', name: 'From … to …' },
    { id: 'weekdays', name: 'On days of the week' },
    { id: 'in-turn', name: 'In turn with' },
  ] as const;
  type About = (typeof ABOUT)[number]['id'];
  let about = $state<About>('on');
  let what = $state('');
  let by = $state<'day' | 'visit'>('day');
  let first = $state('');
  let last = $state('');

  const kinds = $derived(doc.site?.kinds ?? []);
  const others = $derived(found.bands.filter((b) => b.page !== band.page && b.place === band.place));
  const begins = $derived(first || day);
  const ends = $derived(last || later(begins || '2026-01-01', 13));
  const chosen = $derived(
    what ||
      (about === 'weekdays' ? '6' : about === 'in-turn' ? (others[0]?.page ?? '') : `kind ${kinds[0] ?? ''}`),
  );

  function rule(): PlacingRule | null {
    if (about === 'between') return { kind: 'between', first: begins, last: ends };
    if (about === 'weekdays') return { kind: 'weekdays', days: [Number(chosen)] };
    if (about === 'in-turn') return chosen ? { kind: 'in-turn', others: [chosen], by } : null;
    return aboutPages(about, chosen);
  }

  function add(): void {
    const made = rule();
    if (made) void edits.edit({ kind: 'add-rule', page: band.page, rule: made }, undefined, false);
  }
</script>

<div class="maker" role="group" aria-label="One more rule">
  <select
    aria-label="What the rule is about"
    value={about}
    onchange={(e) => {
      about = e.currentTarget.value as About;
      what = '';
    }}
  >
    {#each ABOUT as one (one.id)}
      <option value={one.id} disabled={one.id === 'in-turn' && others.length === 0}>{one.name}</option>
    {/each}
  </select>
  {#if about === 'between'}
    <input
      type="date"
      aria-label="First day"
      value={begins}
      onchange={(e) => (first = e.currentTarget.value)}
    />
    <input
      type="date"
      aria-label="Last day"
      min={begins}
      value={ends}
      onchange={(e) => (last = e.currentTarget.value)}
    />
  {:else if about === 'weekdays'}
    <select aria-label="Day of the week" value={chosen} onchange={(e) => (what = e.currentTarget.value)}>
      {#each WEEKDAYS as name, n (name)}<option value={String(n + 1)}>{name}</option>{/each}
    </select>
  {:else if about === 'in-turn'}
    <select aria-label="Other band" value={chosen} onchange={(e) => (what = e.currentTarget.value)}>
      {#each others as other (other.page)}<option value={other.page}>{other.title}</option>{/each}
    </select>
    <select aria-label="How often it turns" bind:value={by}>
      <option value="day">another each day</option>
      <option value="visit">another at each visit</option>
    </select>
  {:else}
    <PageChoice label="Which pages" {found} value={chosen} choose={(value) => (what = value)} />
  {/if}
  <button type="button" class="quiet act" onclick={add}>Add this rule</button>
</div>

<style>
  .maker {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 6px;
  }
  select,
  input {
    min-height: 28px;
    padding: 0 4px;
    border: 1px solid color-mix(in oklab, var(--color-base-content) 30%, transparent);
    background: var(--color-base-100);
  }
</style>

<script lang="ts">
  /** The times of a band on its track. An end is pulled, or nudged with arrow keys: the rule follows. */
  import type { Between, CalendarBand } from '../api/types';
  import { arrow, pull, type Spot } from '../parts/pull';
  import { useBench } from '../state/context';
  import { later, longDay } from './days';

  type Props = { band: CalendarBand; days: string[]; chosen: boolean };
  let { band, days, chosen }: Props = $props();
  const { edits } = useBench();

  type End = 'first' | 'last';
  /** What is pulled: which rule, which end, and by which day it is now. */
  let pulled = $state.raw<{ rule: number; end: End; day: string } | null>(null);

  const ruleOf = (number: number) => band.rules[number]?.rule as Between | undefined;
  const dayAt = (x: number) =>
    days[Math.min(days.length - 1, Math.max(0, Math.floor(x * days.length)))] ?? days[0] ?? '';

  /** A time never ends before it begins. */
  function within(rule: Between, end: End, day: string): string {
    const other = end === 'first' ? rule.last : rule.first;
    if (!other) return day;
    return end === 'first' ? (day > other ? other : day) : day < other ? other : day;
  }

  function keep(number: number, end: End, day: string): void {
    const rule = ruleOf(number);
    if (!rule || rule[end] === day) return;
    const next = { ...rule, [end]: within(rule, end, day) };
    void edits.edit({ kind: 'change-rule', page: band.page, number, rule: next }, undefined, false);
  }

  const handle = (number: number, end: End) => ({
    within: (node: Element) => node.closest('.track'),
    move: (spot: Spot) => {
      const rule = ruleOf(number);
      if (rule) pulled = { rule: number, end, day: within(rule, end, dayAt(spot.x)) };
    },
    end: (_: Spot, moved: boolean) => {
      if (moved && pulled) keep(number, end, pulled.day);
      pulled = null;
    },
    cancel: () => (pulled = null),
  });

  function key(event: KeyboardEvent, number: number, end: End): void {
    const by = arrow(event);
    const from = ruleOf(number)?.[end];
    if (!by || by[0] === 0 || !from) return;
    event.preventDefault();
    keep(number, end, later(from, Math.sign(by[0]) * (Math.abs(by[0]) > 5 ? 7 : 1)));
  }

  const spans = $derived(
    band.spans.map((span) => {
      const rule = span.rule === null ? undefined : ruleOf(span.rule);
      const at = (day: string, otherwise: number) => {
        const n = days.indexOf(day);
        return n < 0 ? otherwise : n;
      };
      const mine = pulled && pulled.rule === span.rule ? pulled : null;
      return {
        ...span,
        rule,
        number: span.rule,
        from: mine?.end === 'first' ? at(mine.day, span.first) : span.first,
        to: mine?.end === 'last' ? at(mine.day, span.last) : span.last,
      };
    }),
  );
</script>

{#each spans as span (span.number ?? 'always')}
  <span
    class="span"
    class:chosen
    class:never={band.never !== ''}
    style="left:{(100 * span.from) / days.length}%;width:{(100 * (span.to - span.from + 1)) / days.length}%"
  >
    {#if span.number !== null && span.rule}
      {@const number = span.number}
      {#each ['first', 'last'] as const as end (end)}
        {@const day = pulled?.rule === number && pulled.end === end ? pulled.day : span.rule[end]}
        {#if day && (end === 'first' ? span.begins : span.ends)}
          <span
            class="end {end}"
            role="slider"
            tabindex="0"
            aria-label="{end === 'first' ? 'First' : 'Last'} day of {band.title}"
            aria-valuenow={days.indexOf(day)}
            aria-valuetext={longDay(day)}
            title="{longDay(day)}: pull it, or arrows by days, with Shift by weeks"
            onkeydown={(event) => key(event, number, end)}
            {@attach pull(handle(number, end))}
          ></span>
        {/if}
      {/each}
    {/if}
  </span>
{/each}
{#if pulled}<span class="said text-small" role="status">{longDay(pulled.day)}</span>{/if}

<style>
  .span {
    position: absolute;
    inset-block: 5px;
    background: color-mix(in oklab, var(--color-base-content) 32%, var(--color-base-100));
  }
  .chosen {
    background: var(--color-primary);
  }
  .never {
    background: repeating-linear-gradient(
      135deg,
      color-mix(in oklab, var(--color-base-content) 30%, transparent) 0 4px,
      transparent 4px 8px
    );
  }
  .end {
    position: absolute;
    inset-block: -5px;
    width: 24px;
    cursor: ew-resize;
  }
  .end::after {
    content: '';
    position: absolute;
    inset-block: 2px;
    left: 10px;
    width: 4px;
    background: var(--color-base-content);
  }
  .first {
    left: -12px;
  }
  .last {
    right: -12px;
  }
  .said {
    position: absolute;
    z-index: 3;
    right: 0;
    top: -4px;
    padding: 2px 8px;
    background: var(--color-base-100);
    border: 1px solid var(--color-base-300);
  }
</style>

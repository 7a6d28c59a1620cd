<script lang="ts">
  /** A number with its unit. Sums like 2*18 are worked out; what is no number or out of range is refused in words. */
  import type { Problem } from '../api/types';
  import Field from './Field.svelte';
  import { numberIn, withUnit } from './numbers';

  type Props = {
    label: string;
    value: number;
    unit: string;
    least: number;
    most: number;
    step?: number;
    hideLabel?: boolean;
    width?: string;
    align?: 'left' | 'right';
    name?: string;
    show?: (value: number) => void;
    keep: (value: number) => Promise<Problem | null> | void;
  };
  let { label, value, unit, least, most, step = 1, show, keep, ...rest }: Props = $props();

  const within = (number: number | null): number is number =>
    number !== null && number >= least && number <= most;
  const range = $derived(`${least} to ${most}${unit ? ` ${unit}` : ''}`);

  async function settle(text: string): Promise<Problem | null> {
    const number = numberIn(text, unit);
    if (within(number)) return (await keep(number)) ?? null;
    const message =
      number === null
        ? `${label} is a number from ${range}; "${text}" is none.`
        : `${label} goes from ${range}; ${text} is beyond that.`;
    return { kind: 'number', message, path: '$' };
  }

  function nudged(text: string, by: number): string {
    const next = (numberIn(text, unit) ?? value) + by * step;
    return withUnit(Math.min(most, Math.max(least, next)), unit);
  }
</script>

<Field
  {label}
  {...rest}
  value={withUnit(value, unit)}
  note="{label}: {range}"
  nudge={nudged}
  show={(text) => {
    const number = numberIn(text, unit);
    if (within(number)) show?.(number);
  }}
  keep={settle}
/>

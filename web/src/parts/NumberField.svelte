<script lang="ts">
  /** A number with its unit: typed, or nudged with the arrow keys. What is no number is refused, and what was stays. */
  import type { Problem } from '../api/types';
  import Field from './Field.svelte';

  type Props = {
    label: string;
    value: number;
    unit: string;
    least: number;
    most: number;
    step?: number;
    hideLabel?: boolean;
    width?: string;
    show: (value: number) => void;
    keep: (value: number) => Promise<Problem | null>;
  };
  let {
    label,
    value,
    unit,
    least,
    most,
    step = 1,
    hideLabel = false,
    width = '100%',
    show,
    keep,
  }: Props = $props();

  const read = (text: string) => Number.parseFloat(text.replace(',', '.'));
  const said = (number: number) =>
    `${Math.round(number * 100) / 100}${unit === '°' ? '' : ' '}${unit}`.trim();
  const held = (number: number) => Math.min(most, Math.max(least, Math.round(number * 100) / 100));

  async function settle(text: string): Promise<Problem | null> {
    const number = read(text);
    if (Number.isFinite(number)) return keep(held(number));
    return { kind: 'number', message: `${label} is a number from ${least} to ${most}.`, path: '$' };
  }
</script>

<Field
  {label}
  {hideLabel}
  {width}
  value={said(value)}
  note="{label}: {least} to {most} {unit}"
  nudge={(text, by) => said(held((Number.isFinite(read(text)) ? read(text) : value) + by * step))}
  show={(text) => Number.isFinite(read(text)) && show(held(read(text)))}
  keep={settle}
/>

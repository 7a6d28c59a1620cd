<script lang="ts">
  /** A number of seconds in a sentence: what is said before it, and the field. */
  import type { Problem } from '../api/types';
  import NumberField from './NumberField.svelte';

  type Props = {
    said: string;
    label: string;
    value: number;
    least?: number;
    most: number;
    step?: number;
    keep: (value: number) => Promise<Problem | null> | void;
  };
  let { said, label, value, least = 0, most, step = 0.1, keep }: Props = $props();
</script>

<span class="muted">{said}</span>
<NumberField {label} hideLabel {value} unit="s" {least} {most} {step} width="58px" {keep} />

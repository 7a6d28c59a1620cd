<script lang="ts">
  /** A CSS length: a number with px, rem, vw and the like, or a clamp(). What it may be is for the core to say. */
  import type { Problem } from '../api/types';
  import Field from './Field.svelte';
  import { nudgeLength, nudgeSigned } from './lengths';
  import { lengthIn } from './numbers';

  type Props = {
    label: string;
    value: string;
    keep: (text: string) => Promise<Problem | null>;
    show?: (text: string) => void;
    note?: string;
    width?: string;
    hideLabel?: boolean;
    name?: string;
    /** Whether it may be below zero. */
    signed?: boolean;
  };
  let { signed = false, ...rest }: Props = $props();
</script>

<Field {...rest} read={lengthIn} nudge={signed ? nudgeSigned : nudgeLength} />

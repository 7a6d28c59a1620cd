<script lang="ts">
  /** Room between blocks of words. */
  import type { Block } from '../../api/types';
  import LengthField from '../../parts/LengthField.svelte';
  import { editorOf } from '../../state/editor';

  let { block }: { block: Block } = $props();
  const to = editorOf((chosen) => chosen.blockTarget(block.id));
</script>

<LengthField
  label="Height"
  value={block.height ?? '32px'}
  show={(height) => to.show({ height })}
  keep={(height) => to.keep({ height }, `Space of ${height}`)}
/>

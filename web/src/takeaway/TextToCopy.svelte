<script lang="ts">
  /** A text that is put somewhere else: where it belongs, and the way to copy it. */
  import type { TakenText } from '../api/types';

  type Props = {
    text: TakenText;
    label: string;
    button: string;
    copy: (text: string) => Promise<boolean>;
  };
  let { text, label, button, copy }: Props = $props();
  let copied = $state(false);

  async function press(): Promise<void> {
    copied = await copy(text.text);
    setTimeout(() => (copied = false), 2000);
  }
</script>

<div class="flex flex-wrap items-center gap-3 pt-1 pb-1.5">
  <button type="button" class="btn btn-primary h-[30px] min-h-0" onclick={() => void press()}
    >{copied ? 'Copied' : button}</button
  >
  <span class="muted text-small">{text.where}</span>
</div>
<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<pre class="rule" role="region" tabindex="0" aria-label={label}>{text.text}</pre>

<style>
  .rule {
    flex: none;
    overflow: auto;
    max-height: 340px;
    margin-bottom: 8px;
    padding: 12px 14px;
    background: color-mix(in oklab, var(--color-base-100) 70%, var(--color-base-200));
    border: 1px solid var(--color-base-300);
    font-size: var(--text-small);
    white-space: pre-wrap;
    overflow-wrap: anywhere;
  }
</style>

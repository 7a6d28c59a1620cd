<script lang="ts">
  /** While the site is fetched, and when it cannot be. */
  let { failed, again }: { failed: boolean; again: () => void } = $props();
</script>

{#if failed}
  <main class="grid flex-1 place-items-center p-6 text-center">
    <div>
      <p class="pb-3">The site could not be fetched. What was kept is safe.</p>
      <button type="button" class="btn btn-primary h-[32px] min-h-0" onclick={again}>Try again</button>
    </div>
  </main>
{:else}
  <main class="muted p-6" aria-busy="true">Fetching the site …</main>
{/if}

<script lang="ts">
  /** A page of the site as it is, or with something tried on it, at a screen's true width. */
  import { ofSite } from '../api/site';
  import * as client from '../api/client';
  import type { Operation, Screen } from '../api/types';
  import { apply } from '../bench/frame';
  import { useBench } from '../state/context';

  type Props = { page: string; screen: Screen; patch: Operation[]; title: string };
  let { page, screen, patch, title }: Props = $props();
  const { doc, notices } = useBench();

  let width = $state(0);
  let height = $state(0);
  let inner = $state.raw<Document | null>(null);
  const scale = $derived(width / screen.width);

  $effect(() => {
    const revision = doc.state?.revision;
    if (!inner || revision === undefined) return;
    const target = inner;
    const asked = { revision, patch, page };
    const timer = setTimeout(() => {
      client
        .live(asked)
        .then((live) => apply(target, live))
        .catch((error: unknown) => notices.tell(error));
    }, 40);
    return () => clearTimeout(timer);
  });

  function loaded(event: Event): void {
    inner = (event.currentTarget as HTMLIFrameElement).contentDocument;
    inner?.addEventListener('click', (click) => click.preventDefault());
  }
</script>

<figure class="flex min-h-0 min-w-0 flex-1 flex-col">
  <figcaption class="pb-1 font-semibold">{title}</figcaption>
  <div class="frame" bind:clientWidth={width} bind:clientHeight={height}>
    {#key page}
      <iframe
        sandbox="allow-same-origin allow-scripts"
        onload={loaded}
        title="{title}: {page} on {screen.name.toLowerCase()}"
        src={ofSite(`/live/${page}`)}
        style:width="{screen.width}px"
        style:height="{height / Math.max(0.05, scale)}px"
        style:transform="scale({scale})"
      ></iframe>
    {/key}
  </div>
</figure>

<style>
  .frame {
    position: relative;
    flex: 1;
    min-height: 0;
    overflow: hidden;
    box-shadow: 0 0 0 1px color-mix(in oklab, var(--color-base-content) 26%, transparent);
  }
  iframe {
    position: absolute;
    border: 0;
    transform-origin: 0 0;
    background: white;
  }
</style>

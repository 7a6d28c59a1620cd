<script lang="ts">
  /** The worst reading over one period, and beneath it who is there when; borders are pulled to time them. */
  import type { SequenceLayer } from '../../../api/types';
  import { pull } from '../../../parts/pull';
  import { useBench } from '../../../state/context';
  import { Hand } from '../../../state/hand.svelte';
  import { layerEditor } from '../../change';
  import RunOverTime from '../../RunOverTime.svelte';
  import { lookOf, second, turnsOf } from '../../members';

  let { layer }: { layer: SequenceLayer } = $props();
  const { doc, edits, movement, selection, sight } = useBench();
  const to = layerEditor(() => layer);

  const STEP = 0.1;
  const MOST = 600;
  /** The border that is being pulled: where it was, the stay then, and the scale of the line, which holds meanwhile. */
  let grabbed = $state.raw<{ from: number; stay: number; scale: number } | null>(null);
  type Stay = { n: number; stay: number };
  const hand = new Hand<Stay>(edits);
  const times = $derived(turnsOf(layer));
  const scale = $derived(grabbed?.scale ?? times.period);
  const rounded = (time: number) => Math.round(Math.min(MOST, Math.max(0, time)) * 10) / 10;
  const stays = ({ n, stay }: Stay) => ({ [`members/${n}/stay`]: stay });
  const way = {
    show: (one: Stay) => to.show(stays(one)),
    keep: (one: Stay) => to.keep(stays(one), `${times.turns[one.n]?.name} stays ${second(one.stay)}`),
  };

  function border(n: number) {
    return pull({
      within: (node) => node.closest('.strip'),
      begin: ({ x }) => {
        const stay = times.turns[n]?.stay ?? 0;
        grabbed = { from: x * times.period, stay, scale: times.period };
        return true;
      },
      move: ({ x }) => {
        if (grabbed) hand.show({ n, stay: rounded(grabbed.stay + x * grabbed.scale - grabbed.from) }, way);
      },
      end: () => {
        grabbed = null;
        void hand.settle();
      },
      cancel: () => {
        grabbed = null;
        hand.drop();
      },
      nudge: (right) => {
        if (right === 0) return false;
        hand.nudge({ n, stay: rounded((times.turns[n]?.stay ?? 0) + right * STEP) }, way);
      },
    });
  }

  function go(time: number): void {
    if (sight.situation) sight.meet(null);
    movement.seek(layer.id, time);
  }
</script>

{#if hand.problem}<p role="alert" class="text-small text-error">{hand.problem}</p>{/if}
<RunOverTime
  {layer}
  period={times.period}
  {scale}
  step={STEP}
  calm="Your system asks for less motion: the screens stay with the first one."
  regions={times.turns.map((t, n) => ({ id: t.id, name: `${n + 1}`, from: t.start, to: t.start + t.stay }))}
  still={times.turns.map((t) => ({ from: t.start, to: t.start + t.stay }))}
>
  {#snippet children(x)}
    <div class="strip">
      {#each layer.members as member, n (member.layer.id)}
        {@const turn = times.turns[n]}
        {#if turn}
          <button
            type="button"
            class="turn"
            aria-pressed={selection.member?.layer.id === member.layer.id}
            aria-label="{n + 1}: {member.layer.name}, stays {second(turn.stay)}"
            title="{member.layer.name}, stays {second(turn.stay)}"
            style:left="{x(turn.start)}px"
            style:width="{Math.max(6, x(turn.start + turn.stay) - x(turn.start))}px"
            style:background={lookOf(member, doc)}
            onclick={() => {
              selection.chooseMember(member.layer.id);
              go(turn.start + turn.stay / 2);
            }}
          ></button>
          {#if layer.members.length > 1}
            <span
              class="change"
              aria-hidden="true"
              style:left="{x(turn.start + turn.stay)}px"
              style:width="{x(turn.start + turn.stay + times.change) - x(turn.start + turn.stay)}px"
            ></span>
            <span
              class="grip"
              role="slider"
              tabindex="0"
              aria-label="How long {member.layer.name} stays"
              aria-valuemin={0}
              aria-valuemax={MOST}
              aria-valuenow={turn.stay}
              aria-valuetext={second(turn.stay)}
              title="Pull to time it: stays {second(turn.stay)}"
              style:left="{x(turn.start + turn.stay)}px"
              {@attach border(n)}
            ></span>
          {/if}
        {/if}
      {/each}
    </div>
  {/snippet}
</RunOverTime>

<style>
  /* the grips have a row of their own, so that none lies over a short turn */
  .strip {
    position: relative;
    height: 50px;
  }
  .turn {
    position: absolute;
    inset-block: 2px 24px;
    cursor: pointer;
    box-shadow: inset 0 0 0 1px color-mix(in oklab, var(--color-base-content) 30%, transparent);
  }
  .turn[aria-pressed='true'] {
    box-shadow:
      0 0 0 1px var(--color-base-100),
      0 0 0 3px var(--color-primary);
    z-index: 1;
  }
  .change {
    position: absolute;
    inset-block: 2px 24px;
    pointer-events: none;
    background: linear-gradient(
      to bottom right,
      color-mix(in oklab, var(--color-base-content) 22%, transparent) 49.5%,
      color-mix(in oklab, var(--color-base-content) 8%, transparent) 50.5%
    );
  }
  .grip {
    position: absolute;
    inset-block: 26px 0;
    width: 24px;
    margin-left: -12px;
    cursor: col-resize;
  }
  .grip::before {
    content: '';
    position: absolute;
    inset: 0 7px 8px;
    background: var(--color-base-content);
    clip-path: polygon(50% 0, 100% 45%, 100% 100%, 0 100%, 0 45%);
  }
</style>

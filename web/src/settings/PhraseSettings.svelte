<script lang="ts">
  /**
   * What stretches of the words are beside their words: strong, emphasised, a link, of a colour; and where lines end.
   * Words are pressed or drawn over; the arrow keys walk along them, with Shift they take more.
   */
  import type { Block } from '../api/types';
  import ColourField from '../parts/ColourField.svelte';
  import Differs from '../parts/Differs.svelte';
  import Field from '../parts/Field.svelte';
  import ScopeSelect from '../parts/ScopeSelect.svelte';
  import { editorOf } from '../state/editor';
  import { useBench } from '../state/context';
  import PhraseWords from './PhraseWords.svelte';
  import { ended, ends, marked, marksIn, type Marks } from './phrases';

  let { block }: { block: Block } = $props();
  const { doc, findings, selection } = useBench();
  const to = editorOf((chosen) => chosen.blockTarget(block.id));

  let chosen = $state.raw<readonly [number, number] | null>(null);
  const letters = $derived([...(block.wording ?? '')]);
  /** The chosen letters, as far as they are there. */
  const here = $derived(chosen && chosen[1] <= letters.length ? chosen : null);
  const phrases = $derived(block.phrases ?? []);
  const marks = $derived(here ? marksIn(phrases, here) : {});
  const said = $derived(
    here
      ? short(
          letters
            .slice(...here)
            .join('')
            .replaceAll('\n', ' '),
        )
      : '',
  );
  const font = $derived(doc.fonts.find((f) => f.family === block.lettering?.font));
  /** The space behind the chosen words, and what stands before it. */
  const space = $derived.by(() => {
    if (!here) return null;
    const behind = /^[^\s\p{L}\p{N}]*(?=\s)/u.exec(letters.slice(here[1]).join(''))?.[0];
    return behind === undefined ? null : here[1] + [...behind].length;
  });

  /** What each phrase comes to where it fares worst on the screens now. */
  const worst = $derived(
    phrases.map((_, n) => {
      const found = findings.readings
        .filter((r) => r.block === block.id)
        .flatMap((r) =>
          (r.phrases ?? []).filter((p) => p.phrase === n).map((p) => ({ ...p, of: r.required })),
        );
      return found.toSorted((a, b) => a.ratio / a.of - b.ratio / b.of)[0];
    }),
  );

  function short(text: string): string {
    return text.length > 34 ? `${text.slice(0, 32)} …` : text;
  }

  const changed = (change: Marks) => ({
    phrases: here ? marked(phrases, letters.length, here, change) : phrases,
  });
  const keep = (change: Marks, label: string) => to.keep(changed(change), `${label}: ${said}`);
  const show = (change: Marks) => to.show(changed(change));
</script>

<div class="flex flex-col gap-2">
  <PhraseWords {block} {phrases} scope={selection.scope} chosen={here} choose={(next) => (chosen = next)} />
  {#each worst as reading, n (n)}
    {#if reading && !reading.enough}
      <p class="text-small text-error">
        “{short(letters.slice(phrases[n]?.start, phrases[n]?.end).join(''))}” falls short: {reading.shown} of {reading.of}
      </p>
    {/if}
  {/each}
  {#if here}
    <div class="flex flex-wrap items-center gap-x-4 gap-y-1" role="group" aria-label="What “{said}” is">
      <label
        class="check"
        title={font && font.weights.length < 2 ? `${font.family} has one weight only` : ''}
      >
        <input
          type="checkbox"
          checked={marks.strong ?? false}
          onchange={(e) => void keep({ strong: e.currentTarget.checked }, 'Strong')}
        /> strong
      </label>
      <label class="check" title={font?.italic ? '' : `${font?.family ?? 'This font'} has no italic`}>
        <input
          type="checkbox"
          checked={marks.emphasis ?? false}
          onchange={(e) => void keep({ emphasis: e.currentTarget.checked }, 'Emphasis')}
        /> emphasis
      </label>
      {#if marks.colour}
        <label class="check" title="Without it they are of the colour of the other words">
          <input type="checkbox" checked onchange={() => void keep({ colour: null }, 'No colour')} /> own colour
        </label>
      {/if}
      {#if !block.link}
        <Field
          label="Link of the chosen words"
          hideLabel
          width="150px"
          placeholder="Link to …"
          value={marks.link ?? ''}
          note="where a click leads: a page of this site, a path, https:, mailto: or tel:"
          keep={(text) => keep({ link: text || null, underlined: true }, text ? 'Link' : 'No link')}
        />
        {#if marks.link}
          <label class="check" title="A link that only its colour tells is lost on those who do not see it">
            <input
              type="checkbox"
              checked={marks.underlined ?? true}
              onchange={(e) => void keep({ underlined: e.currentTarget.checked }, 'Line beneath')}
            /> underlined
          </label>
        {/if}
      {/if}
    </div>
    <ColourField
      label="Colour"
      words={block.id}
      value={marks.colour ?? block.lettering?.colour ?? '#000000'}
      show={(colour) => show({ colour })}
      keep={(colour) => keep({ colour }, 'Colour')}
    />
    {#if space !== null && !block.listed}
      <div class="flex flex-wrap items-center gap-2">
        <label class="check">
          <input
            type="checkbox"
            checked={ends(block, selection.scope).includes(space)}
            onchange={() => void to.keep(ended(block, selection.scope, space), 'Line ends', selection.scope)}
          />
          the line ends behind “{said.split(' ').at(-1)}”
        </label>
        <ScopeSelect label="The line ends there for" />
        <Differs item={block} fields={['breaks']} />
      </div>
    {/if}
  {:else if letters.length > 0}
    <p class="muted text-small">
      Press a word, or draw over several: they can be strong, a link, of another colour, or end a line.
    </p>
  {:else}
    <p class="muted text-small">There are no words yet.</p>
  {/if}
</div>

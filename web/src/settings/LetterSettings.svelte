<script lang="ts">
  /** The letters themselves: spacing, capitals, italics, outline, shadow, what they become under the pointer. */
  import type { Block } from '../api/types';
  import ColourField from '../parts/ColourField.svelte';
  import LengthField from '../parts/LengthField.svelte';
  import { editorOf, type Values } from '../state/editor';
  import { useBench } from '../state/context';

  let { block }: { block: Block } = $props();
  const { doc } = useBench();

  const lettering = $derived(block.lettering ?? {});
  const font = $derived(doc.fonts.find((f) => f.family === lettering.font));
  const outline = $derived(lettering.outline);
  const shadow = $derived(lettering.shadow);
  const linked = $derived(
    doc.kind(block).linked || Boolean(block.link) || Boolean(block.phrases?.some((phrase) => phrase.link)),
  );

  const to = editorOf((chosen) => chosen.blockTarget(block.id));
  const inLetters = (values: Values) =>
    Object.fromEntries(Object.entries(values).map(([name, value]) => [`lettering/${name}`, value]));
  const show = (values: Values) => to.show(inLetters(values));
  const keep = (values: Values, label: string) => to.keep(inLetters(values), label);
  const light = (colour: string | undefined) => Number.parseInt((colour ?? '#ffffff').slice(1, 3), 16) > 128;
  const against = $derived(light(lettering.colour) ? '#000000' : '#ffffff');
  /** Hollow letters are drawn by their outline: where there is none yet, one in their own colour. */
  const hollowed = (hollow: boolean): Values =>
    hollow && !outline
      ? { hollow, outline: { width: '2px', colour: lettering.colour ?? against } }
      : { hollow };
</script>

<div class="flex flex-col gap-2">
  <div class="flex items-end gap-4">
    <LengthField
      label="Between letters"
      width="112px"
      value={lettering.spacing ?? '0px'}
      signed
      note="px, em, rem"
      show={(spacing) => show({ spacing })}
      keep={(spacing) => keep({ spacing }, `Letters spaced by ${spacing}`)}
    />
    <LengthField
      label="Between words"
      width="112px"
      value={lettering.word_spacing ?? '0px'}
      signed
      note="more at each space: px, em, rem"
      show={(word_spacing) => show({ word_spacing })}
      keep={(word_spacing) => keep({ word_spacing }, `Words spaced by ${word_spacing}`)}
    />
  </div>
  <div class="flex flex-wrap items-center gap-x-4">
    <label class="check">
      <input
        type="checkbox"
        checked={lettering.capitals ?? false}
        onchange={(e) => void keep({ capitals: e.currentTarget.checked }, 'Capitals')}
      /> capitals
    </label>
    <label class="check" title={font?.italic ? '' : `${lettering.font} has no italic`}>
      <input
        type="checkbox"
        disabled={!font?.italic}
        checked={(lettering.italic ?? false) && Boolean(font?.italic)}
        onchange={(e) => void keep({ italic: e.currentTarget.checked }, 'Italic')}
      /> italic
    </label>
    <label class="check" title="Not to be seen: the picture bears these words already">
      <input
        type="checkbox"
        checked={block.heard ?? false}
        onchange={(e) => void to.keep({ heard: e.currentTarget.checked }, 'For screen readers only')}
      /> for screen readers only
    </label>
  </div>
  <div class="flex items-center gap-3">
    <label class="check w-[84px]">
      <input
        type="checkbox"
        checked={Boolean(outline)}
        onchange={(e) =>
          void keep(
            e.currentTarget.checked
              ? { outline: { width: '1px', colour: against } }
              : { outline: null, hollow: false },
            e.currentTarget.checked ? 'An outline' : 'No outline',
          )}
      /> outline
    </label>
    {#if outline}
      <LengthField
        label="Width of the outline"
        hideLabel
        width="66px"
        value={outline.width ?? '1px'}
        show={(width) => show({ outline: { ...outline, width } })}
        keep={(width) => keep({ outline: { ...outline, width } }, `Outline of ${width}`)}
      />
      <ColourField
        tight
        label="in"
        words={block.id}
        value={outline.colour ?? '#000000'}
        show={(colour) => show({ outline: { ...outline, colour } })}
        keep={(colour) => keep({ outline: { ...outline, colour } }, `Outline in ${colour}`)}
      />
    {/if}
    <label class="check" title="The outline alone is drawn; it is what is judged then">
      <input
        type="checkbox"
        checked={lettering.hollow ?? false}
        onchange={(e) => void keep(hollowed(e.currentTarget.checked), 'Hollow letters')}
      /> hollow
    </label>
  </div>
  <div class="flex items-center gap-3">
    <label class="check w-[84px]">
      <input
        type="checkbox"
        checked={Boolean(shadow)}
        onchange={(e) =>
          void keep(
            { shadow: e.currentTarget.checked ? { down: '1px', blur: '6px', colour: `${against}b3` } : null },
            e.currentTarget.checked ? 'A shadow' : 'No shadow',
          )}
      /> shadow
    </label>
    {#if shadow}
      {#each [['across', 'Across'], ['down', 'Down'], ['blur', 'Blur']] as const as [name, label] (name)}
        <LengthField
          label="Shadow: {label.toLowerCase()}"
          hideLabel
          width="58px"
          value={shadow[name] ?? '0px'}
          signed={name !== 'blur'}
          note="{label}: px, em"
          show={(text) => show({ shadow: { ...shadow, [name]: text } })}
          keep={(text) => keep({ shadow: { ...shadow, [name]: text } }, `Shadow: ${name} ${text}`)}
        />
      {/each}
      <ColourField
        tight
        label="in"
        value={shadow.colour ?? '#00000099'}
        show={(colour) => show({ shadow: { ...shadow, colour } })}
        keep={(colour) => keep({ shadow: { ...shadow, colour } }, `Shadow in ${colour}`)}
      />
    {/if}
  </div>
  {#if linked}
    <div class="flex items-center gap-3">
      <label class="check w-[84px]" title="While the pointer is over it, or the keyboard's focus on it">
        <input
          type="checkbox"
          checked={Boolean(lettering.over)}
          onchange={(e) =>
            void keep(
              { over: e.currentTarget.checked ? (lettering.colour ?? '#ffffff') : null },
              'Letters under the pointer',
            )}
        /> pointed at
      </label>
      {#if lettering.over}
        <ColourField
          label="Then in"
          tight
          words={block.id}
          value={lettering.over}
          show={(over) => show({ over })}
          keep={(over) => keep({ over }, `Pointed at: ${over}`)}
        />
      {/if}
    </div>
  {/if}
</div>

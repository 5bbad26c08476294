<script lang="ts">
  import { tick } from 'svelte';
  import type { System } from '#core/units/factors';
  import type { BenchData } from '$lib/server/benchData';
  import type { ChoiceSpec } from '#core/sets/setType';
  import { inWords } from '#core/units/inWords';
  import Field from '$lib/ui/Field.svelte';
  import { ticked, type Kept } from '$lib/ui/kept';
  import type { BenchDesign } from './design.svelte';

  /** The numbers and choices of a set as its type asks for them, each with where it comes from. */
  interface Props {
    bench: Pick<BenchData, 'fields'>;
    it: BenchDesign;
    kept: Kept | null;
    system: System;
    /** numbers come from another set: the hand begins at the first of them */
    copied?: boolean;
    /** what was typed can be kept at its place */
    keeps?: boolean;
  }
  let { bench, it, kept, system, copied = false, keeps = true }: Props = $props();
  const type = $derived(it.type);
  const fields = $derived(it.fields);
  /** what does not work, beside the number it is about */
  const failing = $derived(
    Object.fromEntries(it.findings.filter((f) => f.verdict === 'fails' && f.field).map((f) => [f.field ?? '', f.sentence])),
  );
  const numbers = $derived(Object.entries(type.numbers).filter(([, spec]) => it.asked(spec)));
  const choices = $derived(Object.entries(type.choices).filter(([, spec]) => it.asked(spec)));
  /** what is rarely otherwise stands folded, until it is */
  const seldom = $derived(choices.filter(([, spec]) => spec.seldom));
  let moreOpen = $derived(
    seldom.some(([key, spec]) => (bench.fields[`c.${key}`] || spec.default) !== spec.default || error(`c.${key}`) !== undefined),
  );
  const first = $derived(Object.keys(type.numbers)[0]);

  const error = (name: string): string | undefined => kept?.errors?.[name];
  const UNITS = { length: { us: 'in', metric: 'cm' }, weight: { us: 'lb', metric: 'kg' } } as const;
</script>

{#snippet choice(key: string, spec: ChoiceSpec)}
  <Field label={spec.label} name="c.{key}" error={error(`c.${key}`)} warning={failing[key]}>
    {#snippet children(attributes)}
      <select class="select w-full" name="c.{key}" bind:value={fields[`c.${key}`]} {...attributes}>
        {#each Object.entries(spec.options) as [value, text] (value)}<option {value}>{text}</option>{/each}
      </select>
    {/snippet}
  </Field>
{/snippet}

{#each numbers as [key, spec] (key)}
  <div class="own">
    <Field
      label={spec.label}
      name="n.{key}"
      error={error(`n.${key}`)}
      warning={failing[key]}
      help={inWords(spec.help, system)}
      origin={it.origin(key)}
    >
      {#snippet children(attributes)}<input
          class="input w-full"
          name="n.{key}"
          autocomplete="off"
          placeholder={spec.unit === 'share' ? `${Math.round((spec.default ?? 0.5) * 100)}%` : UNITS[spec.unit][system]}
          bind:value={fields[`n.${key}`]}
          onfocus={(event) => event.currentTarget.select()}
          {@attach (element) => {
            if (copied && key === first)
              void tick().then(() => ((element as HTMLInputElement).focus(), (element as HTMLInputElement).select()));
          }}
          {...attributes}
        />{/snippet}
    </Field>
    {#if keeps && spec.from && it.isOwn(key)}<label class="keep"
        ><input type="checkbox" class="checkbox checkbox-sm" name="keep" value={key} checked={ticked(kept, 'keep', key)} /> keep it for this place</label
      >{/if}
  </div>
{/each}
{#each choices.filter(([, spec]) => !spec.seldom) as [key, spec] (key)}{@render choice(key, spec)}{/each}
{#if seldom.length > 0}
  <details bind:open={moreOpen}>
    <summary>More</summary>
    {#each seldom as [key, spec] (key)}{@render choice(key, spec)}{/each}
  </details>
{/if}

<style>
  summary {
    cursor: pointer;
    min-height: 36px;
    align-content: center;
  }
  /* one tap more, where the hand is */
  .keep {
    display: none;
    gap: 6px;
    align-items: center;
    font-size: 0.85rem;
    margin: -4px 0 8px;
    min-height: 28px;
  }
  .own:focus-within .keep,
  .keep:has(:checked) {
    display: flex;
  }
</style>

<script lang="ts">
  import { LURE_PLACES, LURES, MOST_LURES } from '#core/lure/lure';
  import { lureField } from '#core/lure/typed';
  import type { BenchData } from '$lib/server/benchData';
  import Field from '$lib/ui/Field.svelte';
  import type { Kept } from '$lib/ui/kept';
  import type { BenchDesign } from '$lib/bench/design.svelte';

  /** Bait and scent of a set: as its type has them, none, or what somebody says, with the jar it comes out of. */
  let { bench, it, kept }: { bench: BenchData; it: BenchDesign; kept: Kept | null } = $props();

  const fields = $derived(it.fields);
  const error = (name: string): string | undefined => kept?.errors?.[name];
  const asBuilt = $derived(it.usualLure === '' ? 'none by this type' : `${it.usualLure}, by this type`);
  const rows = Array.from({ length: MOST_LURES }, (_, row) => row);
  /** a row opens when the one before it is filled */
  const isOpen = (row: number): boolean => row === 0 || (fields[lureField(row - 1, 'what')] ?? '') !== '';
  const wrong = $derived(Object.keys(kept?.errors ?? {}).some((name) => name.startsWith('lure')));
  /** opened by hand, or where something of it is wrong */
  let unfolded = $derived(wrong);
  const told = $derived(
    fields.lure === 'blind'
      ? 'blind'
      : fields.lure === 'own'
        ? (fields[lureField(0, 'what')] ?? '') || 'to be said'
        : it.usualLure || 'none',
  );
</script>

<details class="lures" bind:open={unfolded}>
  <summary
    ><h2>Bait and scent</h2>
    <span class="quiet">{told}</span></summary
  >
  <Field label="What draws" name="lure" error={error('lure')}>
    {#snippet children(attributes)}
      <select class="select w-full" name="lure" bind:value={fields.lure} {...attributes}>
        <option value="">{asBuilt}</option>
        <option value="blind">nothing: a blind set</option>
        <option value="own">I say what</option>
      </select>
    {/snippet}
  </Field>
  <div class:only-script={fields.lure !== 'own'}>
    {#each rows as row (row)}
      <fieldset class:only-script={!isOpen(row)}>
        <legend class="only-heard">{row + 1}. of what draws</legend>
        {@render pick(row, 'what', 'What', ['', ...LURES])}
        {@render pick(row, 'where', 'Where', LURE_PLACES)}
        <Field label="Portions" name={lureField(row, 'amount')} error={error(lureField(row, 'amount'))}>
          {#snippet children(attributes)}<input
              class="input w-full"
              name={lureField(row, 'amount')}
              inputmode="decimal"
              placeholder="1"
              bind:value={fields[lureField(row, 'amount')]}
              {...attributes}
            />{/snippet}
        </Field>
        {#if bench.jars.length > 0}
          <Field label="Out of" name={lureField(row, 'stock')} error={error(lureField(row, 'stock'))}>
            {#snippet children(attributes)}
              <select class="select w-full" name={lureField(row, 'stock')} bind:value={fields[lureField(row, 'stock')]} {...attributes}>
                <option value="">not booked</option>
                {#each bench.jars as jar (jar.id)}<option value={jar.id}>{jar.text}</option>{/each}
              </select>
            {/snippet}
          </Field>
        {/if}
      </fieldset>
    {/each}
    <p class="quiet">What comes out of the shed is booked once, as the set goes live.</p>
  </div>
</details>

{#snippet pick(row: number, name: 'what' | 'where', label: string, options: readonly string[])}
  <Field {label} name={lureField(row, name)} error={error(lureField(row, name))}>
    {#snippet children(attributes)}
      <select class="select w-full" name={lureField(row, name)} bind:value={fields[lureField(row, name)]} {...attributes}>
        {#each options as option (option)}<option value={option}>{option || 'nothing'}</option>{/each}
      </select>
    {/snippet}
  </Field>
{/snippet}

<style>
  .lures {
    margin-top: 14px;
  }
  summary {
    cursor: pointer;
    min-height: 36px;
    align-content: center;
  }
  h2 {
    display: inline;
  }
  /* what and where, then how much and out of which jar */
  fieldset > :global(:nth-child(2)) {
    grid-column: 1 / 3;
  }
  fieldset > :global(:nth-child(5)) {
    grid-column: 2 / 4;
  }
  fieldset {
    border-top: 1px solid var(--rule);
    padding-top: 6px;
    display: grid;
    grid-template-columns: 4.5rem 1fr 8rem;
    gap: 0 10px;
  }
  @media (scripting: enabled) {
    .only-script {
      display: none;
    }
  }
</style>

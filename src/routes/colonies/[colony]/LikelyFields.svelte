<script lang="ts">
  import { NIGHT_SAW_WORDS } from '#core/words/colony';
  import Scroller from '$lib/ui/Scroller.svelte';
  import { typed, type Kept } from '$lib/ui/kept';
  import type { PageData } from './$types';

  /** What a night brings by what is true, as practice has it and as somebody holds it for this colony. */
  let { rows, kept }: { rows: PageData['form']['likely']; kept: Kept | null } = $props();
  const wrong = $derived(Object.entries(kept?.errors ?? {}).filter(([name]) => name.startsWith('likely.')));
  const hasOwn = $derived(rows.some((r) => r.cells.some((c) => c.typed !== '')) || wrong.length > 0);
</script>

<details class="mt-2" open={hasOwn}>
  <summary class="cursor-pointer font-bold">What a night in range brings here, %</summary>
  <p class="quiet">Empty: by practice, as it stands in gray. What they have learned is worked out by this table.</p>
  {#each wrong as [name, sentence] (name)}<p class="problem" id="{name}-error">{sentence}</p>{/each}
  <Scroller label="What a night in range brings here">
    <table class="plain-table">
      <thead
        ><tr
          ><th scope="col">Where</th>{#each rows[0]?.cells ?? [] as c (c.saw)}<th scope="col">{NIGHT_SAW_WORDS[c.saw]}</th>{/each}</tr
        ></thead
      >
      <tbody>
        {#each rows as { row, word, cells } (row)}
          <tr>
            <th scope="row">{word}</th>
            {#each cells as { saw, practice, typed: own } (saw)}
              {@const name = `likely.${row}.${saw}`}
              <td
                ><input
                  class="input"
                  {name}
                  inputmode="decimal"
                  autocomplete="off"
                  aria-label="{word}: {NIGHT_SAW_WORDS[saw]}, %"
                  aria-invalid={kept?.errors?.[name] ? 'true' : undefined}
                  aria-describedby={kept?.errors?.[name] ? `${name}-error` : undefined}
                  placeholder={practice}
                  value={typed(kept, name, own)}
                /></td
              >
            {/each}
          </tr>
        {/each}
      </tbody>
    </table>
  </Scroller>
</details>

<style>
  input {
    width: 4.5rem;
  }
</style>

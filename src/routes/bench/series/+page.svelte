<script lang="ts">
  import Scroller from '$lib/ui/Scroller.svelte';
  import { enhance } from '$app/forms';
  import Problem from '$lib/ui/Problem.svelte';
  import { typed, type Kept } from '$lib/ui/kept';
  import { keeping } from '$lib/ui/keeping';

  let { data, form } = $props();
  const kept = $derived(form as Kept | null);
  const error = (name: string): string | undefined => kept?.errors?.[name];
</script>

<svelte:head><title>Copy {data.model} · Bench · Zaprud</title></svelte:head>

<div class="page">
  <h1>Copy {data.model}</h1>
  <p>{data.type}: one row a place, with what is measured there. They are planned; each goes live at the bench, with its arming check.</p>
  {#each data.left as sentence (sentence)}<p class="left">{sentence}</p>{/each}
  <Problem text={kept?.problem} />
  <form method="POST" class="mt-3" use:enhance={keeping}>
    <input type="hidden" name="entry" value={typed(kept, 'entry', data.entry)} />
    <Scroller label="Places of the series">
      <table class="plain-table">
        <thead>
          <tr
            ><th scope="col">Place</th><th scope="col">Which, where there are several</th>{#each data.columns as column (column.key)}<th
                scope="col">{column.label}</th
              >{/each}</tr
          >
        </thead>
        <tbody>
          {#each data.rows as row, i (i)}
            <tr>
              <td>
                <select
                  class="select"
                  name="station.{i}"
                  aria-label="Place {i + 1}"
                  aria-describedby={error(`station.${i}`) ? `s-${i}` : undefined}
                >
                  <option value="">none</option>
                  {#each data.stations as s (s.value)}<option
                      value={s.value}
                      selected={typed(kept, `station.${i}`, row.station) === s.value}>{s.text}</option
                    >{/each}
                </select>
                {#if error(`station.${i}`)}<p class="error" id="s-{i}">{error(`station.${i}`)}</p>{/if}
              </td>
              <td
                ><input
                  class="input"
                  name="which.{i}"
                  aria-label="Which of place {i + 1}"
                  placeholder="left wall"
                  value={typed(kept, `which.${i}`)}
                  autocomplete="off"
                /></td
              >
              {#each data.columns as column (column.key)}
                {@const name = `${column.key}.${i}`}
                {@const wrong = error(name) ?? error(`n.${column.key}`)}
                <td>
                  <input
                    class="input"
                    {name}
                    aria-label="{column.label}, place {i + 1}"
                    value={typed(kept, name, row.numbers[column.key] ?? '')}
                    autocomplete="off"
                    aria-invalid={wrong ? 'true' : undefined}
                    onfocus={(event) => event.currentTarget.select()}
                  />
                  {#if wrong}<p class="error">{wrong}</p>{/if}
                </td>
              {/each}
            </tr>
          {/each}
        </tbody>
      </table>
    </Scroller>
    <button class="btn btn-primary btn-lg mt-4">Plan these sets</button>
  </form>
</div>

<style>
  .left {
    color: var(--edge);
    font-weight: 600;
  }
  .error {
    color: var(--out);
    font-weight: 600;
  }
  .input {
    width: 8rem;
  }
</style>

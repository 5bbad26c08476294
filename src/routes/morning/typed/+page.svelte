<script lang="ts">
  import { enhance } from '$app/forms';
  import { keeping } from '$lib/ui/keeping';
  import { typed, type Kept } from '$lib/ui/kept';
  import Problem from '$lib/ui/Problem.svelte';

  let { data, form } = $props();
  const kept = $derived(form as Kept | null);
  const error = (name: string): string | undefined => kept?.errors?.[name];
  /** rows whose letter says that there is an animal: only they ask which */
  let letters = $state<Record<string, string>>({});
  const isCatch = (stay: string): boolean => ['c', 'catch'].includes((letters[stay] ?? typed(kept, `${stay}.found`)).trim().toLowerCase());

  /** Enter goes on to the next field, as on an adding machine; the button alone saves. */
  function onward(event: KeyboardEvent): void {
    const field = event.target as HTMLElement;
    if (event.key !== 'Enter' || field.tagName === 'BUTTON') return;
    event.preventDefault();
    const all = [
      ...((event.currentTarget as HTMLFormElement).querySelectorAll<HTMLElement>('input:not([type=hidden]), select, button') ?? []),
    ];
    all[all.indexOf(field) + 1]?.focus();
  }
</script>

<svelte:head><title>Type the paper in · Zaprud</title></svelte:head>

{#snippet fault(name: string)}
  {#if error(name)}<span class="error" id="{name}-error">{error(name)}</span>{/if}
{/snippet}

<div class="page">
  <p><a class="link" href="/morning">Rounds</a> – <a class="link" href="/morning/paper">The paper</a></p>
  <h1>Type the paper in</h1>
  <p><b>Found:</b> {data.letters}. Enter goes on to the next field. A row left empty is no check.</p>
  {#if data.waters.length === 0}<p>No set is live.</p>{:else}
    <!-- svelte-ignore a11y_no_noninteractive_element_interactions -->
    <form method="POST" use:enhance={keeping} onkeydown={onward}>
      <input type="hidden" name="entry" value={typed(kept, 'entry', data.entry)} />
      <Problem text={kept?.problem} />
      <label class="day">Day <input class="input" type="date" name="day" value={typed(kept, 'day', data.today)} max={data.today} /></label>
      {#each data.waters as water (water.id)}
        <h2>{water.name}</h2>
        {#each water.rows as row (row.id)}
          <fieldset class="row">
            <legend>{row.label}</legend>
            {#each row.traps as trap (trap.stay)}
              <label
                >{trap.label}
                <input
                  class="input letter"
                  name="{trap.stay}.found"
                  id="{trap.stay}-found"
                  maxlength="20"
                  autocomplete="off"
                  autocapitalize="none"
                  value={typed(kept, `${trap.stay}.found`)}
                  oninput={(event) => (letters[trap.stay] = event.currentTarget.value)}
                  aria-invalid={error(`${trap.stay}.found`) ? 'true' : undefined}
                  aria-describedby={error(`${trap.stay}.found`) ? `${trap.stay}.found-error` : undefined}
                /></label
              >
              {@render fault(`${trap.stay}.found`)}
              {#if isCatch(trap.stay)}
                <label
                  >Animal
                  <select class="select" name="{trap.stay}.animal" value={typed(kept, `${trap.stay}.animal`)}>
                    <option value="">choose</option>
                    {#each data.animals as animal (animal)}<option>{animal}</option>{/each}
                  </select></label
                >
                {@render fault(`${trap.stay}.animal`)}
                <label
                  >Alive
                  <select class="select" name="{trap.stay}.alive" value={typed(kept, `${trap.stay}.alive`)}>
                    <option value="">choose</option><option>no</option><option>yes</option>
                  </select></label
                >
                {@render fault(`${trap.stay}.alive`)}
              {/if}
            {/each}
            <label
              >At
              <input
                class="input time"
                name="{row.id}.at"
                id="{row.id}-at"
                autocomplete="off"
                placeholder="815"
                value={typed(kept, `${row.id}.at`)}
                aria-invalid={error(`${row.id}.at`) ? 'true' : undefined}
                aria-describedby={error(`${row.id}.at`) ? `${row.id}.at-error` : undefined}
              /></label
            >
            <label class="wide"
              >Note <input class="input" name="{row.id}.note" maxlength="300" value={typed(kept, `${row.id}.note`)} /></label
            >
            {@render fault(`${row.id}.at`)}
          </fieldset>
        {/each}
      {/each}
      <button class="btn btn-primary mt-3">Save the checks</button>
    </form>
  {/if}
</div>

<style>
  .day {
    display: block;
    margin: 8px 0;
  }
  .row {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 12px;
    align-items: center;
    border-top: 1px solid var(--rule);
    padding: 6px 0;
  }
  legend {
    float: left;
    width: 13rem;
    font-weight: 650;
  }
  .letter {
    width: 4.5rem;
    display: inline-block;
  }
  .time {
    width: 5.5rem;
    display: inline-block;
  }
  .row .select {
    width: 8rem;
    display: inline-block;
  }
  .wide {
    flex: 1 1 12rem;
    display: flex;
    gap: 6px;
    align-items: center;
  }
  .wide .input {
    flex: 1;
  }
  .error {
    color: var(--out);
    font-weight: 700;
    flex-basis: 100%;
  }
</style>

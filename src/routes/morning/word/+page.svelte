<script lang="ts">
  import { enhance } from '$app/forms';
  import PrintHead from '$lib/ui/PrintHead.svelte';
  import Opened from '$lib/ui/Opened.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import TimeField from '$lib/ui/TimeField.svelte';
  import { typed, type Kept } from '$lib/ui/kept';
  import { keeping } from '$lib/ui/keeping';

  let { data, form } = $props();
  const kept = $derived(form as Kept | null);
</script>

<svelte:head><title>Word left at home · Zaprud</title></svelte:head>

<div class="page">
  <p class="no-print"><a class="link" href="/morning">Rounds</a></p>
  {#if data.line === null}
    <PrintHead title="No line was begun yet." button={null} />
    <p><a class="link" href="/begin">Begin with your crew, your line and one water</a>.</p>
  {:else}
    <PrintHead
      title={data.words.length > 0 ? 'Who is out' : 'Nobody left word.'}
      button={data.words.length > 0 ? 'Print for who waits' : null}
    />
    {#if data.saved}<p role="status"><b>Saved to the book.</b></p>{/if}
    <Problem text={kept?.problem} />
    {#each data.words as word (word.id)}
      <section class="card" class:over={word.state === 'overdue'} id={word.id} aria-label="{word.who} is out">
        <h2>{word.who}: back by {word.by}</h2>
        {#if word.state === 'overdue'}<p class="bad">Overdue by {word.over}.{word.then ? ` ${word.then}.` : ''}</p>{/if}
        <p>{word.where}</p>
        <dl>
          <dt>Left</dt>
          <dd>{word.left}</dd>
          {#if word.home}<dt>Waits</dt>
            <dd>{word.home}</dd>{/if}
          {#if word.then}<dt>Not back</dt>
            <dd>{word.then}</dd>{/if}
          {#if word.dark}<dt>Light</dt>
            <dd>{word.dark}</dd>{/if}
          {#if word.trucks.length > 0}<dt>Trucks stand</dt>
            <dd>
              {#each word.trucks as truck (truck)}<span class="line">{truck}</span>{/each}
            </dd>{/if}
          {#if word.dangers.length > 0}<dt>Care</dt>
            <dd>
              {#each word.dangers as danger (danger)}<span class="line">{danger}</span>{/each}
            </dd>{/if}
        </dl>
        <form method="POST" action="?/back" class="no-print" use:enhance>
          <input type="hidden" name="entry" value={data.ids.back} />
          <input type="hidden" name="word" value={word.id} />
          <Opened entry={word.entry} kept={null} />
          <button class="btn btn-primary btn-lg" aria-label="{word.who} is back">Back</button>
        </form>
      </section>
    {/each}
    {#key data.ids.entry}
      <form method="POST" action="?/leave" class="sheet no-print mt-4" use:enhance={keeping}>
        <h2>Leave word</h2>
        <input type="hidden" name="entry" value={typed(kept, 'entry', data.ids.entry)} />
        <TextField label="Who goes" name="who" value={typed(kept, 'who', data.me)} error={kept?.errors?.who} />
        <TextField
          label="Where, by which way"
          name="where"
          value={typed(kept, 'where')}
          error={kept?.errors?.where}
          help="truck, path, which waters in which order"
        />
        <TimeField label="Back by" name="backBy" value={typed(kept, 'backBy')} error={kept?.errors?.backBy} />
        <TextField label="Who waits at home" name="home" value={typed(kept, 'home')} error={kept?.errors?.home} />
        <TextField
          label="If nobody is back"
          name="then"
          value={typed(kept, 'then')}
          error={kept?.errors?.then}
          help="whom to call, where to look first"
        />
        <p class="quiet">Nothing is sent from here: show or print this page to who waits. Overdue stands on every page of your crew.</p>
        <button class="btn btn-primary">Leave word</button>
      </form>
    {/key}
  {/if}
</div>

<style>
  .card {
    border: 1.5px solid var(--ink);
    background: var(--paper);
    padding: 12px 16px;
    margin-top: 10px;
    max-width: 760px;
    break-inside: avoid;
  }
  .over {
    border-color: var(--out);
    border-width: 3px;
  }
  .bad {
    color: var(--out);
    font-weight: 700;
  }
  dl {
    display: grid;
    grid-template-columns: 7rem 1fr;
    gap: 2px 12px;
    margin: 8px 0;
  }
  dt {
    color: var(--mute);
  }
  .line {
    display: block;
  }
  .sheet {
    max-width: 760px;
  }
</style>

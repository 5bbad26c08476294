<script lang="ts">
  import { enhance } from '$app/forms';
  import FileOrText from '$lib/ui/FileOrText.svelte';
  import FriendCard from '$lib/ui/FriendCard.svelte';
  import Leaving from '$lib/ui/Leaving.svelte';
  import PrintButton from '$lib/ui/PrintButton.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import { typed, type Kept } from '$lib/ui/kept';
  import { keeping } from '$lib/ui/keeping';

  let { data, form } = $props();
  const kept = $derived(form as Kept | null);
  const system = $derived(data.who?.person.system ?? 'us');
  const name = $derived(`${data.card.set.number} ${data.card.set.name}`);
</script>

<svelte:head><title>Card of {name} · Bench · Zaprud</title></svelte:head>

<div class="page sheet-page">
  <p class="no-print"><a class="link" href="/bench/{data.card.set.id}">Back to the bench</a> <PrintButton /></p>
  <h1>{name}, for an experienced friend</h1>
  {#if data.saved}<p role="status"><b>The reply stays with the set.</b></p>{/if}
  <form class="no-print asking" method="GET">
    <label
      >What do you ask?
      <textarea class="textarea w-full" name="asks" rows="2" maxlength="2000" placeholder="What would you change?"
        >{data.card.questions}</textarea
      ></label
    >
    <div class="flex gap-3 flex-wrap">
      <button class="btn">Put it on the card</button>
      <button class="btn btn-primary" formaction="/bench/{data.card.set.id}/card/card.json">Save the card as a file</button>
    </div>
    <p class="quiet">The file holds what is on this page: no position, no owner, no other set. A second Zaprud opens it.</p>
  </form>
  <FriendCard card={data.card} it={data.it} {system} clock={data.clock} />
  <section class="no-print">
    <h2>What friends answered</h2>
    {#each data.replies as reply (reply.id)}
      <blockquote>
        <p class="said">{reply.text}</p>
        <p class="quiet">{reply.from}, {reply.at} <a class="link" href="/book/{reply.entry}">in the book</a></p>
      </blockquote>
    {:else}<p class="quiet">Nothing yet.</p>{/each}
    <form method="POST" action="?/reply" enctype="multipart/form-data" class="sheet mt-3" use:enhance={keeping}>
      <h3>A reply came</h3>
      <Leaving {kept} />
      <Problem text={kept?.problem} />
      <input type="hidden" name="entry" value={typed(kept, 'entry', data.entry)} />
      <FileOrText file="The file of the reply" {kept} />
      <TextField label="Who answered" name="from" value={typed(kept, 'from')} error={kept?.errors?.from} help="a file says it itself" />
      <button class="btn btn-primary">Keep it with the set</button>
    </form>
  </section>
</div>

<style>
  .sheet-page {
    max-width: 1140px;
  }
  .asking {
    margin: 8px 0 14px;
  }
  label {
    display: block;
  }
  blockquote {
    border-left: 3px solid var(--ink);
    padding-left: 12px;
    margin: 8px 0;
  }
  .said {
    white-space: pre-line;
  }
  @media print {
    .no-print {
      display: none;
    }
  }
</style>

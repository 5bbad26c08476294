<script lang="ts">
  import { enhance } from '$app/forms';
  import type { Card } from '#core/card/card';
  import type { OpenedCard } from '#core/card/opened';
  import type { Clock } from '#core/time/clock';
  import FileOrText from '$lib/ui/FileOrText.svelte';
  import FriendCard from '$lib/ui/FriendCard.svelte';
  import PrintButton from '$lib/ui/PrintButton.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import type { Kept } from '$lib/ui/kept';
  import { keeping } from '$lib/ui/keeping';

  let { data, form } = $props();
  const kept = $derived(form && 'errors' in form ? (form as Kept) : null);
  const opened = $derived(form && 'card' in form ? (form as { card: Card; it: OpenedCard; clock: Clock; reader: string }) : null);
  const system = $derived(data.who?.person.system ?? 'us');
</script>

<svelte:head><title>A friend’s card · Bench · Zaprud</title></svelte:head>

<div class="page sheet-page">
  {#if opened}
    <p class="no-print"><a class="link" href="/bench/card">Another card</a> <PrintButton /></p>
    <h1>{opened.card.set.number} {opened.card.set.name}, of {opened.card.from}</h1>
    <p class="quiet">Drawn and judged here, in your units, from the facts of the card. Nothing of it is in your record.</p>
    <FriendCard card={opened.card} it={opened.it} {system} clock={opened.clock} />
    <form method="POST" action="/bench/card/reply.json" class="sheet mt-3 no-print" data-sveltekit-reload>
      <h2>Your answer</h2>
      <input type="hidden" name="set" value={opened.card.set.id} />
      <label
        >What would you do?
        <textarea class="textarea w-full" name="text" rows="4" maxlength="4000" required></textarea></label
      >
      <TextField label="Your name, as your friend knows it" name="from" value={opened.reader} />
      <button class="btn btn-primary">Save the answer as a file</button>
    </form>
  {:else}
    <h1>A friend’s card</h1>
    <p class="quiet">A set that somebody else asks you about. Nothing of it is written into your record.</p>
    <form method="POST" enctype="multipart/form-data" class="sheet mt-3" use:enhance={keeping}>
      <Problem text={kept?.problem} />
      <FileOrText file="The file of the card" rows={4} {kept} />
      <button class="btn btn-primary mt-2">Open it</button>
    </form>
  {/if}
</div>

<style>
  .sheet-page {
    max-width: 1140px;
  }
  label {
    display: block;
  }
  @media print {
    .no-print {
      display: none;
    }
  }
</style>

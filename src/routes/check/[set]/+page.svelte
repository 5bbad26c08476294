<script lang="ts">
  import CheckScreen from '$lib/check/CheckScreen.svelte';
  import type { Kept } from '$lib/ui/kept';
  import { sentPhoto } from '#lib/field/send';
  import { keeping } from '$lib/ui/keeping';
  import AskForm from './AskForm.svelte';

  let { data, form } = $props();
  const kept = $derived(form as Kept | null);
  const system = $derived(data.who?.person.system ?? 'us');
  const view = $derived(data.view);
  const link = (set: string, query: Record<string, string> = {}): string =>
    `/check/${set}${Object.keys(query).length > 0 ? `?${new URLSearchParams(query).toString()}` : ''}`;
  const isAsked = $derived(data.asking !== null || data.advice !== '' || (view.devices.length > 0 && data.asksWho.length > 0));
</script>

<svelte:head><title>Check {view.number} {view.name} · Zaprud</title></svelte:head>

{#snippet asked(next: string | null)}
  {#if data.asking}
    <AskForm {kept} entry={data.ids.entry} corrects={data.asking.entry} />
  {:else if data.advice}
    <div class="page">
      <h2>One change</h2>
      <p class="big">{data.advice}</p>
      <p class="quiet">Common practice, no published source. Yours to judge.</p>
      <p class="mt-4 flex gap-3 flex-wrap">
        <a class="btn btn-primary btn-lg" href={next ? link(next) : '/morning'}>Go on</a><a class="btn btn-lg" href="/bench/{view.id}"
          >Change it at the bench</a
        >
      </p>
    </div>
  {:else}
    <form method="POST" action="/people?/pick" class="taps who" aria-labelledby="who">
      <input type="hidden" name="back" value={data.here} />
      <h2 id="who">Who checks? <span class="quiet">Asked once on this device.</span></h2>
      {#each data.asksWho as person (person.id)}<button class="tap" name="person" value={person.id}>{person.name}</button>{/each}
    </form>
  {/if}
{/snippet}

<CheckScreen
  {data}
  {kept}
  {system}
  {link}
  person={data.who?.person.id ?? ''}
  home={{ href: '/morning', name: 'Rounds' }}
  send={keeping}
  keepPhoto={sentPhoto}
  instead={isAsked ? asked : null}
/>

<style>
  .big {
    font-size: 1.2rem;
    margin: 8px 0;
  }
</style>

<script lang="ts">
  import { onMount } from 'svelte';
  import { page } from '$app/state';
  import { sunOf } from '#core/time/sun';
  import { localDate } from '#core/time/localTime';
  import { Field } from '$lib/field/client.svelte';
  import { keepPage, type Keeping } from '$lib/field/device';
  import { themeOf } from '$lib/ui/theme';
  import FieldCheck from './FieldCheck.svelte';
  import FieldLevel from './FieldLevel.svelte';
  import FieldList from './FieldList.svelte';
  import FieldPlace from './FieldPlace.svelte';
  import FieldRun from './FieldRun.svelte';
  import FieldMap from './FieldMap.svelte';
  import FieldMark from './FieldMark.svelte';
  import Status from './Status.svelte';

  let { data } = $props();
  const field = new Field();
  let keeping = $state<Keeping | null>(null);
  onMount(() => {
    const end = field.begin();
    void keepPage().then((found) => (keeping = found));
    return end;
  });

  const set = $derived(page.url.searchParams.get('set'));
  const view = $derived(field.season?.views.find((v) => v.id === set));
  const isNight = $derived.by(() => {
    if (!field.season) return false;
    const { line } = field.season;
    const { sunrise, sunset } = sunOf(localDate(field.now, line.zone), line.zone, line);
    return (sunrise !== null && field.now < sunrise) || (sunset !== null && field.now > sunset);
  });
  $effect(() => {
    document.documentElement.dataset.theme = themeOf(data.theme, isNight, '/field');
  });
</script>

<svelte:head><title>{view ? `${view.number} ${view.name}` : 'In the field'} · Zaprud</title></svelte:head>

{#if field.state === 'reading'}
  <p class="page" role="status">Reading what this device has …</p>
{:else if !field.season}
  <div class="page">
    <h1>In the field</h1>
    <p>This device has taken nothing along yet, and the record cannot be reached. Open this page once where there is a signal.</p>
    <p class="mt-3"><button class="btn btn-primary btn-lg" onclick={() => field.sync()}>Try again</button></p>
  </div>
{:else if set}
  {#key `${set} ${page.url.searchParams.get('outcome') ?? ''}`}<FieldCheck {field} season={field.season} {set} />{/key}
{:else if page.url.searchParams.get('place')}
  <FieldPlace {field} season={field.season} id={page.url.searchParams.get('place') ?? ''} />
{:else if page.url.searchParams.has('run')}
  <FieldRun {field} season={field.season} />
{:else if page.url.searchParams.has('map')}
  <FieldMap {field} season={field.season} />
{:else if page.url.searchParams.has('level')}
  <FieldLevel {field} season={field.season} />
{:else if page.url.searchParams.has('mark')}
  <FieldMark {field} season={field.season} />
{:else}
  <Status {field} season={field.season} {keeping} />
  <FieldList season={field.season} now={field.now} asker={field.asker} waiting={field.waiting} people={field.facts?.people ?? []} />
{/if}

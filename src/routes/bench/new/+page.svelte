<script lang="ts">
  import BenchForm from '../BenchForm.svelte';
  import type { Kept } from '$lib/ui/kept';

  let { data, form } = $props();
</script>

<svelte:head><title>New set · Zaprud</title></svelte:head>

{#key data.bench.type + data.bench.station.id}
  <BenchForm
    bench={data.bench}
    kept={form as Kept | null}
    system={data.who?.person.system ?? 'us'}
    title="{data.bench.fields.number} {data.bench.station.name}"
    isNew
  />
{/key}

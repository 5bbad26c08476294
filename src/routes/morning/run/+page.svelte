<script lang="ts">
  import RunScreen from '$lib/run/RunScreen.svelte';
  import type { Kept } from '$lib/ui/kept';
  import { keeping } from '$lib/ui/keeping';
  import PrintHead from '$lib/ui/PrintHead.svelte';

  let { data, form } = $props();
</script>

<svelte:head><title>The run of the day · Zaprud</title></svelte:head>

<div class="page">
  <p class="no-print"><a class="link" href="/morning">Rounds</a> – <a class="link" href="/field?run=1">the run without a signal</a></p>
  {#if data.day}
    <RunScreen day={data.day} link={(set) => `/check/${set}`} share={{ entry: data.entry, kept: form as Kept | null, send: keeping }} />
  {:else}
    <PrintHead title="No line was begun yet." button={null} />
    <p><a class="link" href="/begin">Begin with your crew, your line and one water</a>.</p>
  {/if}
</div>

<script lang="ts">
  import FindTrap from '$lib/ui/drawing/FindTrap.svelte';

  let { data } = $props();
  const name = $derived(`${data.set.number} ${data.set.name}`);
</script>

<svelte:head><title>Find {name} · Zaprud</title></svelte:head>

<div class="page">
  <h1>Find the trap: {name}</h1>
  <p>{data.type}, {data.place}. <b>Missing is mostly a catch.</b> Look in this order.</p>
  {#if data.set.hole}<p>Hole <b>{data.set.hole}</b>.</p>{/if}
  <FindTrap holds={data.holds} {name} system={data.who?.person.system ?? 'us'} />
  {#if data.set.photoLeft}<h2 class="mt-3">As it was left</h2>
    <img src="/photo/{data.set.photoLeft}" alt="{name} as it was left" />{/if}
  <p class="caution mt-3">
    A live catch may be held there: come from the bank with the tether in view, never on foot into water you have not sounded.
  </p>
  <p class="flex gap-3 flex-wrap mt-4">
    <a class="btn btn-primary btn-lg" href="/check/{data.set.id}?outcome=catch">Found it, with a catch</a>
    <a class="btn btn-lg" href="/check/{data.set.id}?outcome=other">Found it, without</a>
    <a class="btn btn-lg" href="/check/{data.set.id}?outcome=missing">Not found: write down where you looked</a>
  </p>
</div>

<style>
  .caution {
    color: var(--out);
    font-weight: 650;
  }
  img {
    max-width: 420px;
    width: 100%;
  }
</style>

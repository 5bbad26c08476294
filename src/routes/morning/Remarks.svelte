<script lang="ts">
  import LineRemarks from '$lib/ui/LineRemarks.svelte';
  import type { ComponentProps } from 'svelte';

  /** What an old hand would change first on the line, fetched when it is opened; without script it stands in Waters. */
  type Told = ComponentProps<typeof LineRemarks>['remarks'];
  let remarks = $state<Told | null>(null);
  let failed = $state(false);
  async function fetchOnce(event: Event): Promise<void> {
    if (!(event.currentTarget as HTMLDetailsElement).open || remarks) return;
    const answer = await fetch('/morning/remarks.json').catch(() => null);
    failed = !answer?.ok;
    if (answer?.ok) remarks = (await answer.json()) as Told;
  }
</script>

<details class="mt-4" ontoggle={fetchOnce}>
  <summary>Remarks</summary>
  {#if remarks}
    {#if remarks.length > 0}<LineRemarks {remarks} />{:else}<p>Nothing on the line is likely to fail.</p>{/if}
  {:else if failed}<p>They did not come. <a class="link" href="/waters">They stand in Waters too</a>.</p>
  {:else}<p class="quiet"><a class="link" href="/waters">In Waters</a></p>{/if}
</details>

<style>
  summary {
    cursor: pointer;
    min-height: 36px;
    align-content: center;
  }
</style>

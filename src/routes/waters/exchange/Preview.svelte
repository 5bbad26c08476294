<script lang="ts">
  import type { ImportRow } from '#core/formats/importing';

  let { rows }: { rows: ImportRow[] } = $props();
  const WORD = { new: 'new', here: 'here already', refused: 'refused' };
</script>

<h2 class="mt-6 mb-1">What will be taken</h2>
<table class="plain-table">
  <thead
    ><tr><th scope="col">No.</th><th scope="col">Name</th><th scope="col">In the file</th><th scope="col">What becomes of it</th></tr
    ></thead
  >
  <tbody>
    {#each rows.slice(0, 300) as row (row.nth)}
      <tr class={row.verdict}>
        <td>{row.nth}</td>
        <td>{row.name}</td>
        <td>{row.what}</td>
        <td
          ><b>{WORD[row.verdict]}</b>{row.verdict === 'new'
            ? `: ${row.as === 'station' ? `location ${row.body.number}, ${row.body.kind}` : row.body.kind}`
            : `: ${row.reason}`}</td
        >
      </tr>
    {/each}
  </tbody>
</table>
{#if rows.length > 300}<p class="quiet">… and {rows.length - 300} more.</p>{/if}

<style>
  .refused b {
    color: var(--out);
  }
  .here {
    color: var(--mute);
  }
</style>

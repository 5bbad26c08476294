<script lang="ts">
  /** The chance of each number that may be left, as a bar and as a share. */
  let { chances }: { chances: readonly number[] } = $props();
  /** beyond the last that anybody would reckon with they are told as one */
  const shown = $derived(chances.map((chance, left) => ({ left, chance })).filter(({ chance }) => chance >= 0.01));
  const most = $derived(Math.max(...chances));
</script>

<table aria-label="Chance of each number left">
  <tbody>
    {#each shown as { left, chance } (left)}
      <tr>
        <th scope="row">{left}</th>
        <td><span style:width="{(chance / most) * 100}%"></span></td>
        <td class="share">{Math.round(chance * 100)}%</td>
      </tr>
    {/each}
  </tbody>
</table>

<style>
  table {
    width: min(24rem, 100%);
    border-spacing: 0 2px;
  }
  th {
    width: 2rem;
    text-align: right;
    padding-right: 10px;
  }
  td:nth-child(2) {
    width: 100%;
  }
  td span {
    display: block;
    height: 16px;
    min-width: 2px;
    background: var(--ink);
  }
  .share {
    padding-left: 10px;
    white-space: nowrap;
    font-variant-numeric: tabular-nums;
  }
</style>

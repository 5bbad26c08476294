<script lang="ts">
  /** What they may have learned to shy from, with what was met. */
  let { fears }: { fears: readonly { word: string; chance: number; met: string }[] } = $props();
  const most = $derived(Math.max(...fears.map((f) => f.chance)));
</script>

<section>
  <h2>What they shy from</h2>
  <table aria-label="What they may shy from">
    <tbody>
      {#each fears as { word, chance, met } (word)}
        <tr>
          <th scope="row"
            >{word}{#if met}<small>{met}</small>{/if}</th
          >
          <td><span style:width="{(chance / most) * 100}%"></span></td>
          <td class="share">{Math.round(chance * 100)}%</td>
        </tr>
      {/each}
    </tbody>
  </table>
  <p class="quiet mt-1">
    If any are left. One thing at a time; a place out of use or a stiff trigger is looked for at its set. <a
      class="link"
      href="/colonies/odds">How much each teaches</a
    > is practice.
  </p>
</section>

<style>
  table {
    width: 100%;
    border-spacing: 0 4px;
    border-collapse: separate;
  }
  th {
    text-align: left;
    width: 58%;
    padding-right: 10px;
    font-weight: 650;
    line-height: 1.2;
  }
  small {
    display: block;
    font-weight: 400;
    font-size: 0.86rem;
  }
  td:nth-child(2) span {
    display: block;
    height: 16px;
    min-width: 2px;
    background: var(--ink);
  }
  .share {
    width: 3.6rem;
    text-align: right;
    white-space: nowrap;
    font-variant-numeric: tabular-nums;
  }
</style>

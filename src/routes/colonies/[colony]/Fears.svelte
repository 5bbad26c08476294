<script lang="ts">
  import { many } from '#core/units/many';

  /** What they may have learned to shy from, with what was met. */
  let { fears }: { fears: readonly { word: string; chance: number; met: string }[] } = $props();
  /** less than that is hardly believed */
  const HARDLY = 0.01;
  const likely = $derived(fears.filter((f) => f.chance >= HARDLY));
  const unlikely = $derived(fears.filter((f) => f.chance < HARDLY));
  const most = $derived(Math.max(...fears.map((f) => f.chance)));
</script>

{#snippet list(rows: typeof fears, label: string)}
  <table aria-label={label}>
    <tbody>
      {#each rows as { word, chance, met } (word)}
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
{/snippet}

<section>
  <h2>What they shy from</h2>
  {@render list(likely, 'What they may shy from')}
  {#if unlikely.length > 0}
    <details>
      <summary>{many(unlikely.length, 'other')}, under 1% each</summary>
      {@render list(unlikely, 'What they hardly shy from')}
    </details>
  {/if}
  <p class="quiet mt-1">
    If any are left. One thing at a time; a place out of use or a stiff trigger is looked for at its set. <a
      class="link"
      href="/colonies/odds">How much each teaches</a
    > is practice.
  </p>
</section>

<style>
  summary {
    cursor: pointer;
    min-height: 32px;
    align-content: center;
  }
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

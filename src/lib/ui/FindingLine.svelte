<script lang="ts">
  import Origin from './Origin.svelte';
  import { originWord } from '#core/water/originWord';
  import type { Told } from '#core/words/finding';
  import StateMark from './StateMark.svelte';

  /** A finding in one line: its mark, its sentence, and where its figures come from. */
  let { finding, note = '' }: { finding: Told; note?: string } = $props();
  const MARK = { holds: 'fine', warns: 'nearEdge', fails: 'outOfWater', unknown: 'unknown' } as const;
</script>

<article>
  <StateMark verdict={MARK[finding.verdict]} />
  <div>
    <p>{finding.sentence}</p>
    <p class="quiet">{finding.figure}{note ? `; ${note}` : ''} <Origin text={originWord(finding.origin)} /></p>
  </div>
</article>

<style>
  article {
    display: grid;
    grid-template-columns: 24px 1fr;
    gap: 10px;
    margin: 10px 0;
    font-size: 1.08rem;
  }
  .quiet {
    font-size: 0.9rem;
  }
</style>

<script lang="ts">
  import type { DayStrip } from '#core/time/dayStrip';

  /** 24 hours, night to night: light, now, and a flag for each set's deadline. */
  let { strip, owed }: { strip: DayStrip; owed: string } = $props();

  const pct = (share: number): string => `${(share * 100).toFixed(3)}%`;
  const crowded = (share: number): boolean => Math.abs(share - strip.now) < 0.05;
  const inWords = $derived(
    `${strip.nowText}. Sunrise ${strip.sunrise?.text ?? 'none'}, sunset ${strip.sunset?.text ?? 'none'}. ${owed}. ${strip.deadlines.map((d) => `Set ${d.set} by ${d.text}${d.overdue ? ', overdue' : ''}`).join('; ')}`,
  );
</script>

<div class="strip" role="img" aria-label="Day strip: {inWords}">
  <div class="inner" aria-hidden="true">
    {#if strip.sunrise && !crowded(strip.sunrise.at)}<span class="word" style:left={pct(strip.sunrise.at)}
        >sunrise {strip.sunrise.text}</span
      >{/if}
    {#if strip.sunset && !crowded(strip.sunset.at)}<span class="word" style:left={pct(strip.sunset.at)} style:transform="translateX(-100%)"
        >sunset {strip.sunset.text}</span
      >{/if}
    <span class="owed">{owed}</span>
    {#each strip.deadlines as d (d.set)}
      <svg class="flag" style:left={pct(d.at)} width="7" height="9" viewBox="0 0 8 10"
        ><path d="M0.8 10V0.5L7.5 3.2 0.8 6" fill="var(--out)" stroke="var(--out)" stroke-width="1" /></svg
      >
    {/each}
    <div class="bar">
      {#each strip.lights as l (l.start)}<span class={l.light} style:left={pct(l.start)} style:width={pct(l.end - l.start)}></span>{/each}
    </div>
    <span class="now" style:left={pct(strip.now)}></span>
    <span class="nowtext" style:left={pct(strip.now)} class:flip={strip.now > 0.9}>{strip.nowText}</span>
    {#each strip.hours as h (h.at)}<span class="hour" style:left={pct(h.at)}>{h.text}</span>{/each}
  </div>
</div>

<style>
  .strip {
    background: var(--paper);
    border-bottom: 1px solid var(--rule);
    padding: 0 20px;
    height: 63px;
  }
  .inner {
    position: relative;
    max-width: 1240px;
    margin: 0 auto;
    height: 63px;
    font-size: 13px;
  }
  .inner > * {
    position: absolute;
  }
  .bar {
    top: 25px;
    left: 0;
    right: 0;
    height: 14px;
    border: 1px solid var(--rule);
  }
  .bar span {
    position: absolute;
    top: 0;
    bottom: 0;
  }
  .night {
    background: var(--night);
  }
  .twilight {
    background: var(--dusk);
  }
  .day {
    background: var(--day);
  }
  .word {
    top: 1px;
    font-size: 12.5px;
    white-space: nowrap;
  }
  .owed {
    top: 4px;
    right: 0;
    font-weight: 700;
    white-space: nowrap;
  }
  .flag {
    top: 16px;
  }
  .now {
    top: 8px;
    height: 38px;
    width: 2.5px;
    background: var(--now);
  }
  .nowtext {
    top: 3px;
    margin-left: 6px;
    color: var(--now);
    font-weight: 700;
  }
  .nowtext.flip {
    transform: translateX(calc(-100% - 12px));
  }
  .hour {
    top: 42px;
    font-size: 12px;
    color: var(--mute);
  }
  @media (max-width: 720px) {
    .word,
    .hour:nth-of-type(even) {
      display: none;
    }
  }
</style>

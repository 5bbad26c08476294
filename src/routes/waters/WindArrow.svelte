<script lang="ts">
  let { wind }: { wind: { from: number; speedText: string; simulated: boolean; text: string } } = $props();
</script>

<figure>
  <svg viewBox="0 0 60 60" width="60" height="60" role="img" aria-label={wind.text}>
    <circle cx="30" cy="30" r="27" fill="var(--paper)" stroke="var(--rule)" />
    <g transform="rotate({wind.from + 180} 30 30)" stroke="var(--ink)" stroke-width="2.6" fill="none" stroke-linecap="round">
      <path d="M30 48V14M22 23l8-10 8 10" />
    </g>
    <text x="30" y="11" font-size="9" text-anchor="middle">N</text>
  </svg>
  <figcaption aria-hidden="true">
    wind {wind.speedText}{#if wind.simulated}<br />simulated{/if}
  </figcaption>
</figure>

<style>
  figure {
    position: absolute;
    right: 10px;
    top: 10px;
    text-align: center;
    font-size: 0.78rem;
    line-height: 1.1;
    background: var(--paper);
    padding: 5px 7px 6px;
    border: 1px solid var(--rule);
  }
  svg {
    margin: 0 auto;
  }
</style>

<script lang="ts">
  import { onDestroy } from 'svelte';

  /** The night under the section: a time to look at, dragged, stepped by key, or played. */
  interface Props {
    /** minutes from now */
    minutes: number;
    most: number;
    /** what the time is called, and what the water does then */
    text: string;
    marks: { minutes: number; text: string }[];
    onminutes: (minutes: number) => void;
    onplaying: (playing: boolean) => void;
  }
  let { minutes, most, text, marks, onminutes, onplaying }: Props = $props();

  const STEP = 15;
  /** The night is played in about twenty seconds. */
  const PER_SECOND = 72;
  let frame = 0;
  let playing = $state(false);

  function stop(): void {
    cancelAnimationFrame(frame);
    playing = false;
    onplaying(false);
  }
  function play(): void {
    if (playing) return stop();
    playing = true;
    onplaying(true);
    let at = minutes >= most ? 0 : minutes;
    let before = performance.now();
    const step = (now: number): void => {
      at = Math.min(most, at + ((now - before) / 1000) * PER_SECOND);
      before = now;
      onminutes(at);
      if (at >= most) return stop();
      frame = requestAnimationFrame(step);
    };
    frame = requestAnimationFrame(step);
  }
  onDestroy(() => {
    if (playing) cancelAnimationFrame(frame);
  });
</script>

<div class="slider no-print">
  <button type="button" class="btn" aria-pressed={playing} onclick={play}>{playing ? 'Stop' : 'Play forecast'}</button>
  <div class="track">
    <input
      type="range"
      min="0"
      max={most}
      step={STEP}
      value={Math.round(minutes / STEP) * STEP}
      aria-label="Time looked at"
      aria-valuetext={text}
      oninput={(e) => {
        if (playing) stop();
        onminutes(Number(e.currentTarget.value));
      }}
    />
    <div class="marks" aria-hidden="true">
      {#each marks as m (m.minutes)}<span style:left="{(m.minutes / most) * 100}%">{m.text}</span>{/each}
    </div>
  </div>
  <output class="text">{text}</output>
  {#if minutes > 0}<button type="button" class="btn btn-ghost" onclick={() => (stop(), onminutes(0))}>Now</button>{/if}
</div>

<style>
  .slider {
    display: flex;
    flex-wrap: wrap;
    gap: 8px 14px;
    align-items: center;
    padding: 8px 20px 2px;
  }
  .track {
    flex: 1 1 340px;
    position: relative;
    padding-bottom: 18px;
  }
  input {
    width: 100%;
    accent-color: var(--line);
    height: 30px;
  }
  .marks span {
    position: absolute;
    bottom: 0;
    transform: translateX(-50%);
    font-size: 0.78rem;
    white-space: nowrap;
  }
  .marks span:first-child {
    transform: none;
  }
  .marks span:last-child {
    transform: translateX(-100%);
  }
  @media (max-width: 480px) {
    /* every other mark has room */
    .marks span:nth-child(odd) {
      visibility: hidden;
    }
  }
  .text {
    flex: 1 1 240px;
    font-weight: 650;
    font-variant-numeric: tabular-nums;
  }
</style>

<script lang="ts">
  import { LABEL_SIZE, type SectionScene } from '#core/scene/section';
  import type { Hrefs } from './hrefs';
  import StateMark from '../StateMark.svelte';

  interface Props {
    scene: SectionScene;
    /** where the names lead */
    hrefs: Hrefs;
    /** a live set was tapped; without it, or without script, its name leads to its check */
    onset: ((id: string) => void) | undefined;
  }
  /** The names over a section: of its sets with their state, and of the places without one. */
  let { scene, hrefs, onset }: Props = $props();
</script>

{#each scene.sets as s (s.id)}
  <g transform="translate({s.label.middle} {s.label.y})">
    <g transform="translate(-8 -8)"><StateMark verdict={s.shape === 'live' ? (s.state?.verdict ?? 'unknown') : s.shape} size={16} /></g>
    <a
      href={hrefs.set(s.id, s.shape)}
      onclick={(event) => {
        if (!onset || s.shape !== 'live' || event.metaKey || event.ctrlKey) return;
        event.preventDefault();
        onset(s.id);
      }}
      ><text y="21" font-size={LABEL_SIZE} font-weight="600" text-anchor="middle" class="label"
        >{s.label.text}<title>{s.full}: {s.state?.label ?? s.shape}</title></text
      ></a
    >
  </g>
{/each}

{#each scene.free as s (s.id)}
  <path d="M{s.x} {s.label.y + 22}V{s.y}" stroke="var(--rule)" stroke-width="1" stroke-dasharray="1.5 4" />
  <g transform="translate({s.label.middle} {s.label.y})">
    <circle r="4" fill="var(--paper)" stroke="var(--mute)" stroke-width="1.6" />
    <a href={hrefs.place(s.id)}
      ><text y="21" font-size={LABEL_SIZE} font-weight="500" text-anchor="middle" class="label free"
        >{s.label.text}<title>{s.full}: no set</title></text
      ></a
    >
  </g>
{/each}

<style>
  .free {
    fill: var(--mute);
  }
  .label:hover {
    text-decoration: underline;
  }
</style>

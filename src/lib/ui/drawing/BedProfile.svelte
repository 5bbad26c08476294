<script lang="ts">
  import type { BedProfile } from '#core/scene/bedProfile';

  let { profile, label }: { profile: BedProfile; label: string } = $props();
</script>

<svg viewBox="0 0 {profile.width} {profile.height}" role="img" aria-label={label}>
  <path d={profile.water} fill="var(--water)" />
  <path d={profile.bed} fill="var(--bed)" stroke="var(--bedink)" stroke-width="1.6" />
  <path d="M{profile.surface.from} {profile.surface.y}H{profile.surface.to}" stroke="var(--line)" stroke-width="3" />
  {#each profile.points as p, i (i)}<circle cx={p.x} cy={p.y} r="3" fill="var(--paper)" stroke="var(--bedink)" />{/each}
</svg>

<style>
  svg {
    width: 100%;
    max-width: 480px;
    background: var(--sky);
    border: 1px solid var(--rule);
  }
</style>

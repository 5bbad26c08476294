<script lang="ts">
  import { enhance } from '$app/forms';
  import { DEVICE_CLASSES, SIZES, sizeText } from '#core/devices/sizes';
  import { STATION_KINDS } from '#core/stations/kinds';
  import SelectField from '$lib/ui/SelectField.svelte';
  import { keeping } from '$lib/ui/keeping';
  import { typed, type Kept } from '$lib/ui/kept';

  /** A water at which nothing stands yet: what will be drawn here, and the one thing to do next. */
  interface Props {
    kept: Kept | null;
    entry: string;
    isPond: boolean;
    /** traps of the shed that are free, if there are any */
    free: { value: string; text: string }[];
    /** the gauge of the drawing was tapped */
    ongauge: () => void;
  }
  let { kept, entry, isPond, free, ongauge }: Props = $props();
  let kind = $derived(typed(kept, 'firstKind'));
  let kindField = $state<HTMLElement>();
  function choose(place: string): void {
    kind = place;
    kindField?.querySelector('select')?.focus();
  }
  const CALLED = { bodyGrip: ' body-grip', foothold: ' foothold', snare: '', enclosed: '' } as const;
  const traps = $derived([
    { value: '', text: 'choose' },
    ...free,
    ...DEVICE_CLASSES.flatMap((kind) =>
      SIZES[kind].map((size) => ({
        value: `${kind}:${size}`,
        text: `${free.length > 0 ? 'another ' : ''}${sizeText(kind, size)}${CALLED[kind]}`,
      })),
    ),
  ]);
</script>

<div class="first">
  <svg
    viewBox="0 0 900 300"
    role="group"
    aria-label="What will stand here: the bed, the water at your gauge, places and their sets, in a side view"
  >
    <path d="M0 120C90 130 130 215 260 222S420 250 520 244 640 236 690 170 760 90 790 84 850 190 900 204V300H0Z" class="ground" />
    <path d="M0 118H775" class="water" />
    <path d="M286 150h52v58h-52z M274 180h12 M338 180h12 M300 150l8 26 M324 150l-8 26" class="trap" />
    <text x="16" y="108">{isPond ? 'water' : 'stream'}</text>
    <text x="356" y="186">the first set</text>
    {#snippet thing(name: string, act: () => void, x: number, y: number, d: string, look: string)}
      <g
        role="button"
        tabindex="0"
        aria-label={name}
        onclick={act}
        onkeydown={(e) => {
          if (e.key !== 'Enter' && e.key !== ' ') return;
          e.preventDefault();
          act();
        }}
      >
        <path {d} class="touch" /><path {d} class={look} />
        <text {x} {y} text-anchor="middle">{name}</text>
      </g>
    {/snippet}
    {@render thing('gauge: it reads …', ongauge, 560, 84, 'M560 96V236M552 118h16M552 136h16M552 154h16M552 172h16', 'stake')}
    {@render thing('lodge', () => choose('lodge'), 152, 56, 'M90 122C110 60 190 60 214 122', 'trap')}
    {#if isPond}{@render thing('dam', () => choose('dam'), 790, 70, 'M744 108Q772 76 796 82T838 142', 'trap')}{/if}
  </svg>
  <form method="POST" action="?/first" class="sheet" use:enhance={keeping}>
    <h2>The first set here</h2>
    <input type="hidden" name="firstEntry" value={typed(kept, 'firstEntry', entry)} />
    <div bind:this={kindField}>
      <SelectField
        label="What place is it?"
        name="firstKind"
        value={kind}
        options={[{ value: '', text: 'choose' }, ...STATION_KINDS.map((value) => ({ value, text: value }))]}
        error={kept?.errors?.firstKind}
        onchange={(e) => (kind = (e.currentTarget as HTMLSelectElement).value)}
      />
    </div>
    <SelectField label="Which trap?" name="firstTrap" value={typed(kept, 'firstTrap')} options={traps} error={kept?.errors?.firstTrap} />
    <button class="btn btn-primary w-full mt-2">Build the set</button>
  </form>
</div>

<style>
  [role='button'] {
    cursor: pointer;
  }
  .touch {
    stroke: transparent;
    stroke-width: 30;
    fill: none;
  }
  .first {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 300px;
    gap: 20px;
    align-items: center;
    background: var(--sky);
    padding: 14px 20px;
  }
  .ground {
    fill: var(--bed);
    stroke: var(--bedink);
    stroke-width: 2;
    stroke-dasharray: 7 6;
    opacity: 0.55;
  }
  .water {
    stroke: var(--line);
    stroke-width: 3;
    stroke-dasharray: 10 8;
  }
  .stake {
    stroke: var(--stick);
    stroke-width: 3;
    stroke-dasharray: 6 4;
    fill: none;
  }
  .trap {
    stroke: var(--ink);
    stroke-width: 2;
    stroke-dasharray: 6 5;
    fill: none;
  }
  text {
    font-size: 17px;
  }
  @media (max-width: 720px) {
    .first {
      grid-template-columns: minmax(0, 1fr);
    }
    text {
      font-size: 24px;
    }
  }
</style>

<script lang="ts">
  import type { DesignScene } from '#core/scene/designScene';
  import type { Told } from '#core/words/finding';
  import DesignDrawing from '$lib/ui/drawing/DesignDrawing.svelte';
  import type { BenchDesign } from '$lib/bench/design.svelte';

  /** Two designs side by side: one is held as it is while the other is changed. */
  let { it, title }: { it: BenchDesign; title: string } = $props();

  interface Held {
    side: DesignScene;
    eye: DesignScene;
    findings: Told[];
    fields: Record<string, string>;
    band: string;
  }
  let held: Held | null = $state.raw(null);
  const bandOf = (): string => it.states.map((s) => `${s.label}${s.sentence ? `: ${s.sentence}` : ''}`).join(' ');

  function hold(): void {
    held = { side: it.side, eye: it.eye, findings: it.findings, fields: { ...$state.snapshot(it.fields) }, band: bandOf() };
  }
  function back(): void {
    if (held) Object.assign(it.fields, held.fields);
  }
  const rows = $derived.by(() => {
    if (!held) return [];
    const ids = [...new Set([...held.findings, ...it.findings].map((f) => f.id))];
    return ids.map((id) => {
      const [a, b] = [held?.findings.find((f) => f.id === id), it.findings.find((f) => f.id === id)];
      const say = (f: Told | undefined): string =>
        f ? `${f.figure}${f.verdict === 'fails' ? ', does not work' : f.verdict === 'warns' ? ', look at this' : ''}` : '';
      return { id, about: (b ?? a)?.about ?? id, held: say(a), now: say(b) };
    });
  });
</script>

<div class="only-script mt-3">
  {#if held}
    <section class="beside" aria-label="Two designs side by side">
      <div>
        <h3>Held</h3>
        <DesignDrawing scene={held.eye} title="{title}, the held design as it is met" />
        <DesignDrawing scene={held.side} title="{title}, the held design from the side" />
      </div>
      <div>
        <h3>Now</h3>
        <DesignDrawing scene={it.eye} title="{title}, the design now as it is met" />
        <DesignDrawing scene={it.side} title="{title}, the design now from the side" />
      </div>
    </section>
    <table class="plain-table">
      <thead><tr><th scope="col">What differs</th><th scope="col">Held</th><th scope="col">Now</th></tr></thead>
      <tbody>
        <tr><th scope="row">At this level</th><td>{held.band}</td><td>{bandOf()}</td></tr>
        {#each rows as row (row.id)}
          <tr class:same={row.held === row.now}><th scope="row">{row.about}</th><td>{row.held}</td><td>{row.now}</td></tr>
        {/each}
      </tbody>
    </table>
    <p class="flex gap-3 mt-2">
      <button type="button" class="btn btn-sm" onclick={back}>Take the held one back</button>
      <button type="button" class="btn btn-sm" onclick={() => (held = null)}>Go on with this one</button>
    </p>
  {:else}
    <button type="button" class="btn btn-sm" onclick={hold}>Compare</button>
  {/if}
</div>

<style>
  .beside {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 8px;
  }
  .same {
    color: var(--mute);
  }
</style>

<script lang="ts">
  import { enhance } from '$app/forms';
  import Problem from '$lib/ui/Problem.svelte';
  import SelectField from '$lib/ui/SelectField.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import TimeField from '$lib/ui/TimeField.svelte';
  import { keeping } from '$lib/ui/keeping';
  import { typed, type Kept } from '$lib/ui/kept';

  interface Props {
    kept: Kept | null;
    ids: { entry: string; id: string };
    kinds: readonly string[];
    /** what the what-if above was asked, to begin from */
    typedNow: { shape: string; width: string; sill: string; count: string; widens: string };
    nowField: string;
    /** what is known of the pond: what is not is asked here */
    knows: { area: boolean; rise: boolean };
    /** what the what-if was told of it */
    pond: { area: string; rise: string };
  }
  let { kept, ids, kinds, typedNow, nowField, knows, pond }: Props = $props();
  const WORDS: Record<string, string> = { rectangle: 'upright sides', V: 'V', trapezoid: 'sloping sides' };
</script>

<details class="sheet mt-4 no-print" open={kept?.problem !== undefined}>
  <summary class="font-bold cursor-pointer">A break was opened, or found open: forecast from it</summary>
  <form method="POST" action="?/open" class="mt-3" use:enhance={keeping}>
    <Problem text={kept?.problem} />
    <input type="hidden" name="entry" value={typed(kept, 'entry', ids.entry)} />
    <input type="hidden" name="id" value={typed(kept, 'id', ids.id)} />
    <div class="fields">
      <SelectField
        label="Its shape"
        name="openShape"
        value={typed(kept, 'openShape', typedNow.shape)}
        options={kinds.map((k) => ({ value: k, text: WORDS[k] ?? k }))}
      />
      <TextField
        label="Its width at the water"
        name="openWidth"
        value={typed(kept, 'openWidth', typedNow.width)}
        error={kept?.errors?.openWidth}
      />
      <TextField
        label="Bottom of the break, on the gauge"
        name="openSill"
        value={typed(kept, 'openSill', typedNow.sill)}
        error={kept?.errors?.openSill}
      />
      <TimeField label="Opened at" name="opened" value={typed(kept, 'opened', nowField)} error={kept?.errors?.opened} />
      <SelectField
        label="Opened by"
        name="openedBy"
        value={typed(kept, 'openedBy')}
        options={['us', 'others', 'the water'].map((b) => ({ value: b, text: b }))}
      />
      <TextField
        label="How many of them"
        name="openCount"
        value={typed(kept, 'openCount', typedNow.count)}
        error={kept?.errors?.openCount}
      />
      <SelectField
        label="Expected"
        name="expect"
        value={typed(kept, 'expect', 'not mended')}
        options={['not mended', 'mended after dusk'].map((e) => ({ value: e, text: e.replace('mended', 'plugged') }))}
      />
      <SelectField
        label="Its fill"
        name="openWidens"
        value={typed(kept, 'openWidens', typedNow.widens)}
        options={[
          { value: 'no', text: 'holds in rain' },
          { value: 'yes', text: 'soft: rain cuts it wider' },
        ]}
      />
      {#if !knows.area}<TextField
          label="Area of the pond"
          name="area"
          value={typed(kept, 'area', pond.area)}
          error={kept?.errors?.area}
          help="kept with the pond: without it the forecast is a rule of thumb"
        />{/if}
      {#if !knows.rise}<TextField
          label="Its rise in a day"
          name="rise"
          value={typed(kept, 'rise', pond.rise)}
          error={kept?.errors?.rise}
        />{/if}
      <TextField label="Note" name="note" value={typed(kept, 'note')} error={kept?.errors?.note} />
    </div>
    <button class="btn btn-primary">Save the break</button>
  </form>
</details>

<style>
  .fields {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(190px, 1fr));
    gap: 0 14px;
  }
</style>

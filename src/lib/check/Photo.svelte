<script lang="ts">
  import { Store } from '$lib/field/store';

  /** A photo of the record; where it still waits on this device or there is no signal, the one that the device keeps. */
  interface Props {
    id: string;
    of: string;
  }
  let { id, of }: Props = $props();
  let local = $state('');
  $effect(() => () => URL.revokeObjectURL(local));

  async function fromHere(): Promise<void> {
    if (local) return;
    const photo = await new Store().photo(id);
    if (photo) local = URL.createObjectURL(new Blob([photo.bytes], { type: photo.type }));
  }
</script>

<a href={local || `/photo/${id}`}
  ><img src={local || `/photo/${id}`} alt="Photo of {of}" loading="lazy" onerror={() => void fromHere()} /></a
>

<style>
  img {
    width: 96px;
    height: 72px;
    object-fit: cover;
    border: 2px solid var(--rule);
  }
</style>

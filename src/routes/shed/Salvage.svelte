<script lang="ts">
  import { enhance } from '$app/forms';
  import { keeping } from '$lib/ui/keeping';

  interface Item {
    device: string;
    tag: string;
    size: string;
    when: string;
    entry: string;
    set: { number: number; name: string };
  }
  /** Snares that caught: their cable is mostly scrap, lock and swivel come back. */
  let { items }: { items: Item[] } = $props();
</script>

<section class="sheet mt-3">
  <h2>After a catch</h2>
  <p class="quiet">The cable is usually scrap; lock and swivel are kept. Booked once, the tag is out of use and the stock follows.</p>
  <ul>
    {#each items as item (item.device)}
      <li>
        <form method="POST" action="?/salvage" use:enhance={keeping}>
          <input type="hidden" name="entry" value={item.entry} /><input type="hidden" name="device" value={item.device} />
          <span><b>{item.tag}</b>, {item.size}, in {item.set.number} {item.set.name}, {item.when}</span>
          <label
            ><input type="checkbox" class="checkbox" name="lock" value="yes" checked /> lock back<span class="only-heard">
              of {item.tag}</span
            ></label
          >
          <label
            ><input type="checkbox" class="checkbox" name="swivel" value="yes" checked /> swivel back<span class="only-heard">
              of {item.tag}</span
            ></label
          >
          <button class="btn btn-sm">Cable scrapped<span class="only-heard">, {item.tag}</span></button>
        </form>
      </li>
    {/each}
  </ul>
</section>

<style>
  form {
    display: flex;
    gap: 8px 18px;
    flex-wrap: wrap;
    align-items: center;
    min-height: 44px;
  }
  label {
    display: flex;
    gap: 8px;
    align-items: center;
  }
</style>

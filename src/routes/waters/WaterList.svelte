<script lang="ts">
  import { many } from '#core/units/many';
  interface Water {
    id: string;
    name: string;
    kind: string;
    note: string;
    stations: number;
    live: number;
    out: number;
    level: string;
    upwind: string;
  }
  interface Props {
    sites: {
      id: string;
      name: string;
      owner: string;
      access: string;
      endangered: string;
      users: string;
      entry: string;
      waters: Water[];
    }[];
    shown: string | null;
  }
  let { sites, shown }: Props = $props();
</script>

<div>
  {#each sites as site (site.id)}
    <section>
      <h2>
        {site.name}
        {#if site.id === shown}<span class="quiet small">on the map</span>{:else}<a
            class="link small"
            href="/waters?site={site.id}"
            data-sveltekit-noscroll>show on the map</a
          >{/if}
      </h2>
      <ul>
        {#each site.waters as water (water.id)}
          <li>
            <a class="link font-bold" href="/waters/{water.id}">{water.name}</a> <span class="quiet">{water.kind}, {water.level}</span><br
            />
            {many(water.stations, 'location')}, {water.live} live{#if water.out > 0}, <b class="out"
                >{water.out} out of {water.out === 1 ? 'its' : 'their'} band</b
              >{/if}
            <span class="quiet">{water.upwind}</span>
            <a class="link small" href="/waters?site={site.id}&water={water.id}" data-sveltekit-noscroll
              >near<span class="only-heard">: {water.name} on the map</span></a
            >
          </li>
        {:else}<li>No water is recorded on this site: add one below.</li>{/each}
      </ul>
      <details>
        <summary>Permission, access, endangered, users</summary>
        <p class="quiet small">
          {[site.owner, site.access, site.endangered, site.users].filter(Boolean).join('. ')}
          <a class="link" href="/book/{site.entry}">Change<span class="only-heard"> the details of {site.name}</span></a>
        </p>
      </details>
    </section>
  {/each}
</div>

<style>
  section {
    margin-bottom: 12px;
  }
  h2 {
    display: flex;
    gap: 10px;
    align-items: baseline;
  }
  li {
    padding: 5px 0;
    border-top: 1px solid var(--rule);
    line-height: 1.25;
    font-size: 0.96rem;
  }
  .small,
  summary {
    font-size: 0.88rem;
    font-weight: 400;
  }
  summary {
    cursor: pointer;
    color: var(--mute);
  }
  .out {
    color: var(--out);
  }
</style>

<script lang="ts">
  interface Props {
    signs: {
      id: string;
      entry: string;
      when: string;
      label: string;
      tells: 'use' | 'contrary';
      halfLife: number;
      species: string;
      freshness: 'hours' | 'days' | 'weeks' | 'old';
      count: number | null;
      direction: string;
      note: string;
      photo: string | null;
      where: string;
    }[];
    camera: number;
  }
  let { signs, camera }: Props = $props();
  const OLD = { hours: 'hours old', days: 'days old', weeks: 'weeks old', old: 'old' };
</script>

<h2 class="mt-5 mb-1">Sign</h2>
<table class="plain-table">
  <thead
    ><tr
      ><th scope="col">Found</th><th scope="col">Sign</th><th scope="col">Means</th><th scope="col">Half-life</th><th scope="col"
        ><span class="only-heard">Correct</span></th
      ></tr
    ></thead
  >
  <tbody>
    {#each signs as s (s.id)}
      <tr>
        <td class="whitespace-nowrap">{s.when}</td>
        <td
          ><b>{s.count ? `${s.count} × ` : ''}{s.label}</b>, {s.species}, {OLD[s.freshness]}{s.direction ? `, ${s.direction}` : ''}{s.note
            ? `: ${s.note}`
            : ''}
          {#if s.photo}<a href="/photo/{s.photo}"><img src="/photo/{s.photo}" alt="{s.label} of {s.when}" loading="lazy" /></a
            >{#if s.where}<span class="quiet">taken at {s.where}</span>{/if}{/if}</td
        >
        <td>{s.tells === 'use' ? 'in use' : 'not in use'}</td>
        <td class="whitespace-nowrap">{s.halfLife} {s.halfLife === 1 ? 'day' : 'days'}</td>
        <td><a class="link" href="/book/{s.entry}">correct<span class="only-heard"> {s.label} of {s.when}</span></a></td>
      </tr>
    {:else}<tr><td colspan="5">None noted yet.</td></tr>{/each}
  </tbody>
</table>
<p class="quiet">
  {camera > 0 ? `${camera} camera events count as well. ` : ''}<a class="link" href="/waters/sign">Half-lives</a> are rules of thumb, or yours.
</p>

<style>
  @media (max-width: 620px) {
    th:nth-child(4),
    td:nth-child(4) {
      display: none;
    }
    td,
    th {
      padding-inline: 5px;
      white-space: normal;
    }
  }
  img {
    display: block;
    max-width: 160px;
    max-height: 110px;
    margin: 4px 0;
  }
</style>

<script lang="ts">
  import SelectField from '$lib/ui/SelectField.svelte';
  import TextField from '$lib/ui/TextField.svelte';

  interface Props {
    plan: {
      asked: {
        species: string;
        wanted: number;
        handled: number;
        people: number;
        traps: number;
        days: string[];
        minutes: number | null;
        water: string | null;
      };
      free: number;
      waters: { value: string; text: string }[];
    };
    species: readonly string[];
    weekdays: readonly string[];
  }
  let { plan, species, weekdays }: Props = $props();
</script>

<form method="GET" class="sheet no-print" aria-label="What the plan is asked">
  <div class="fields">
    <SelectField label="Species" name="species" value={plan.asked.species} options={species.map((s) => ({ value: s, text: s }))} />
    <TextField label="Animals wanted" name="wanted" inputmode="numeric" value={String(plan.asked.wanted)} />
    <TextField label="Handled a day" name="handled" inputmode="decimal" value={String(plan.asked.handled)} help="skinned and carried" />
    <TextField label="People" name="people" inputmode="numeric" value={String(plan.asked.people)} />
    <TextField label="Traps" name="traps" inputmode="numeric" value={String(plan.asked.traps)} help="{plan.free} free in the shed" />
    <TextField
      label="Minutes I have"
      name="minutes"
      inputmode="numeric"
      value={plan.asked.minutes === null ? '' : String(plan.asked.minutes)}
      help="empty: until dark"
    />
    <SelectField label="Where" name="water" value={plan.asked.water ?? ''} options={[{ value: '', text: 'all waters' }, ...plan.waters]} />
  </div>
  <fieldset>
    <legend>Free days</legend>
    {#each weekdays as day (day)}<label
        ><input type="checkbox" class="checkbox" name="day" value={day} checked={plan.asked.days.includes(day)} /> {day}</label
      >{/each}
    <button class="btn btn-primary">Calculate</button>
  </fieldset>
</form>

<style>
  .fields {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(138px, 1fr));
    gap: 0 14px;
  }
  fieldset {
    display: flex;
    flex-wrap: wrap;
    gap: 6px 16px;
    align-items: center;
  }
  legend {
    float: left;
    font-weight: 600;
    margin-right: 8px;
  }
  label {
    display: inline-flex;
    gap: 6px;
    align-items: center;
    min-height: 40px;
  }
  button {
    margin-left: auto;
  }
</style>

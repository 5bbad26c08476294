<script lang="ts">
  import { onMount } from 'svelte';
  import 'ol/ol.css';
  import Feature from 'ol/Feature';
  import OlMap from 'ol/Map';
  import View from 'ol/View';
  import { defaults as controls, ScaleLine } from 'ol/control';
  import { boundingExtent } from 'ol/extent';
  import { LineString, Point, Polygon, type Geometry } from 'ol/geom';
  import { Draw, Modify, Snap } from 'ol/interaction';
  import VectorLayer from 'ol/layer/Vector';
  import { fromLonLat, toLonLat } from 'ol/proj';
  import VectorSource from 'ol/source/Vector';
  import type { Form } from '#core/ground/points';
  import type { Position } from '#core/ground/geodesic';
  import type { Shape } from '#core/record/scouting';
  import { mapStyle, shownOf, type Shown } from './styles';

  interface Props {
    things: { shown: Shown; shape: Shape }[];
    /** what the view is fitted to */
    fit: Position[];
    /** the shape that is being drawn or typed */
    draft: { form: Form; points: Position[] };
    drawing: boolean;
    system: 'us' | 'metric';
    ondraft: (points: Position[]) => void;
    onpick: (shown: Shown) => void;
    /** a tap where nothing lies, or on the line of a water */
    onspot: (at: Position, over: Shown | null) => void;
  }
  let { things, fit, draft, drawing, system, ondraft, onpick, onspot }: Props = $props();

  let host: HTMLDivElement;
  let map: OlMap | undefined;
  const source = new VectorSource<Feature<Geometry>>();
  const sketch = new VectorSource<Feature<Geometry>>();
  const layer = new VectorLayer({ source, declutter: true });
  const top = new VectorLayer({ source: sketch, zIndex: 5 });
  const TYPES = { point: 'Point', line: 'LineString', area: 'Polygon' } as const;

  const flat = ([lon, lat]: readonly number[]): number[] => fromLonLat([lon ?? 0, lat ?? 0]);
  function geometryOf(shape: Shape): Geometry {
    if (shape.type === 'Point') return new Point(flat(shape.coordinates));
    if (shape.type === 'LineString') return new LineString(shape.coordinates.map(flat));
    return new Polygon(shape.coordinates.map((ring) => ring.map(flat)));
  }
  function draftGeometry(): Geometry | null {
    const points = draft.points.map(flat);
    const [first] = points;
    if (!first) return null;
    if (draft.form === 'area' && points.length > 2) return new Polygon([[...points, first]]);
    return draft.form === 'point' || points.length === 1 ? new Point(first) : new LineString(points);
  }
  const back = (at: number[]): Position => {
    const [lon = 0, lat = 0] = toLonLat(at);
    return [Math.round(lon * 1e7) / 1e7, Math.round(lat * 1e7) / 1e7];
  };
  function pointsFrom(geometry: Geometry | undefined): Position[] {
    if (geometry instanceof Point) return [back(geometry.getCoordinates())];
    if (geometry instanceof LineString) return geometry.getCoordinates().map(back);
    if (geometry instanceof Polygon) return (geometry.getCoordinates()[0] ?? []).slice(0, -1).map(back);
    return [];
  }

  onMount(() => {
    map = new OlMap({
      target: host,
      layers: [layer, top],
      controls: controls({ attribution: false, rotate: false }).extend([new ScaleLine({ units: system })]),
      view: new View({ maxZoom: 22, minZoom: 4, enableRotation: false }),
    });
    const paint = () => {
      const style = mapStyle();
      layer.setStyle(style);
      top.setStyle(style);
    };
    void document.fonts.load('600 13px "Overpass Variable"').then(paint);
    paint();
    const themes = new MutationObserver(paint);
    themes.observe(document.documentElement, { attributes: true, attributeFilter: ['data-theme'] });
    map.on('singleclick', (event) => {
      if (drawing) return;
      const hit = map?.forEachFeatureAtPixel(event.pixel, (f) => f as Feature, { hitTolerance: 8, layerFilter: (l) => l === layer });
      const shown = hit && shownOf(hit);
      if (shown && shown.kind !== 'shore' && shown.kind !== 'stream line') onpick(shown);
      else onspot(back(event.coordinate), shown ?? null);
    });
    return () => {
      themes.disconnect();
      map?.setTarget(undefined);
      map = undefined;
    };
  });

  $effect(() => {
    source.clear();
    source.addFeatures(
      things.map(({ shown, shape }) => {
        const feature = new Feature(geometryOf(shape));
        feature.set('shown', shown);
        return feature;
      }),
    );
  });
  $effect(() => {
    const geometry = draftGeometry();
    sketch.clear();
    if (!geometry) return;
    const feature = new Feature(geometry);
    feature.set('shown', { what: 'draft', id: 'draft', text: '' } satisfies Shown);
    sketch.addFeature(feature);
  });
  $effect(() => {
    if (!map || fit.length === 0) return;
    map.getView().fit(boundingExtent(fit.map(flat)), { padding: [34, 44, 44, 44], maxZoom: 19, size: map.getSize() ?? [800, 500] });
  });
  $effect(() => {
    const on = map;
    if (!on || !drawing) return;
    const modify = new Modify({ source: sketch });
    const snap = new Snap({ source });
    const draw = new Draw({ type: TYPES[draft.form], source: new VectorSource() });
    draw.on('drawend', (event) => ondraft(pointsFrom(event.feature.getGeometry())));
    modify.on('modifyend', () => ondraft(pointsFrom(sketch.getFeatures()[0]?.getGeometry())));
    const own = draft.points.length > 0 ? [modify, snap] : [draw, snap];
    own.forEach((interaction) => on.addInteraction(interaction));
    return () => own.forEach((interaction) => on.removeInteraction(interaction));
  });
</script>

<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<div
  bind:this={host}
  class="map"
  role="application"
  tabindex="0"
  aria-label="Map of the ground. Arrow keys move it, plus and minus change its scale. The table below has the same places as text."
></div>

<style>
  .map {
    width: 100%;
    height: 100%;
    background: var(--sky);
  }
  .map :global(.ol-zoom) {
    top: 10px;
    left: 10px;
    background: none;
    display: grid;
    gap: 4px;
  }
  .map :global(.ol-zoom button) {
    width: 40px;
    height: 40px;
    margin: 0;
    background: var(--paper);
    color: var(--ink);
    border: 1.5px solid var(--mute);
    border-radius: 2px;
    font-size: 1.3rem;
  }
  .map :global(.ol-zoom button:focus-visible) {
    outline: 3px solid var(--focus);
  }
  .map :global(.ol-scale-line) {
    background: var(--paper);
    border-radius: 0;
    left: 10px;
    bottom: 10px;
  }
  .map :global(.ol-scale-line-inner) {
    color: var(--ink);
    border-color: var(--ink);
    font-size: 0.8rem;
    transition: none;
  }
</style>

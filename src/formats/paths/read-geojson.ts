import type { Feature, FeatureCollection, Geometry, Position } from 'geojson';
import { fail, ok, type Result } from '../../core/math/result';
import { definePathReader, textOf, type BroughtPath, type BroughtPaths } from './path-format';

/** Metres per radian along a meridian and a parallel at latitude 0: the ellipsoid of WGS 84 (a, 1/f; NGA.STND.0036). */
const A = 6_378_137;
const E2 = (2 - 1 / 298.257223563) / 298.257223563;
const DEGREE = Math.PI / 180;

interface Line {
  readonly name: string;
  readonly closed: boolean;
  readonly places: readonly Position[];
}

/**
 * Lines and rings of a GeoJSON (RFC 7946: longitude, latitude, height), in metres east and north of their middle by the ellipsoid's radii of
 * curvature there. Problems: `geojson.broken` with `reason`, `geojson.position` with `line`, `paths.none`.
 */
export const geojson = definePathReader({
  kind: 'geojson',
  label: 'GeoJSON',
  extensions: ['geojson', 'json'],
  read(file): Result<BroughtPaths> {
    let lines: Line[];
    try {
      lines = linesOf(
        JSON.parse(textOf(file)) as FeatureCollection | Feature | Geometry,
        file.name.replace(/\.[^.]+$/, ''),
      );
    } catch (error) {
      return fail('geojson.broken', {
        file: file.name,
        reason: error instanceof Error ? error.message : String(error),
      });
    }
    lines = lines.filter(({ places }) => places.length > 1);
    if (lines.length === 0) return fail('paths.none', { file: file.name });
    for (const { name, places } of lines) {
      const wrong = places.find(([lon, lat]) => !(Math.abs(lon!) <= 360) || !(Math.abs(lat!) <= 90));
      if (wrong) return fail('geojson.position', { name, text: JSON.stringify(wrong).slice(0, 60) });
    }
    const all = lines.flatMap(({ places }) => places);
    const middle = (k: 0 | 1) => {
      const values = all.map((place) => place[k]!);
      return (values.reduce((a, b) => Math.min(a, b)) + values.reduce((a, b) => Math.max(a, b))) / 2;
    };
    const [lon, lat] = [middle(0), middle(1)];
    const s = Math.sin(lat * DEGREE);
    const w = Math.sqrt(1 - E2 * s * s);
    const east = (A / w) * Math.cos(lat * DEGREE) * DEGREE;
    const north = ((A * (1 - E2)) / w ** 3) * DEGREE;
    const paths = lines.map(({ name, closed, places }): BroughtPath => {
      const open = closed ? places.slice(0, -1) : places;
      const points = open.map((p) => ({
        position: [(p[0]! - lon) * east, (p[1]! - lat) * north, p[2] ?? 0] as const,
      }));
      return { name, kind: 'straight', closed, points };
    });
    const note = `Projected to metres about ${lat.toFixed(5)}°, ${lon.toFixed(5)}°.`;
    return ok({ paths, unit: 1, isFlat: all.every((place) => place.length < 3), up: 'z', note });
  },
});

function linesOf(value: FeatureCollection | Feature | Geometry, name: string): Line[] {
  switch (value.type) {
    case 'FeatureCollection':
      return value.features.flatMap((feature, i) => linesOf(feature, `${name} ${i + 1}`));
    case 'Feature': {
      const own = value.properties?.name as unknown;
      return value.geometry ? linesOf(value.geometry, typeof own === 'string' ? own : name) : [];
    }
    case 'GeometryCollection':
      return value.geometries.flatMap((geometry) => linesOf(geometry, name));
    case 'LineString':
      return [{ name, closed: false, places: value.coordinates }];
    case 'MultiLineString':
      return value.coordinates.map((places, i) => ({ name: `${name}, part ${i + 1}`, closed: false, places }));
    case 'Polygon':
      return value.coordinates.map((places) => ({ name, closed: true, places }));
    case 'MultiPolygon':
      return value.coordinates.flat().map((places, i) => ({ name: `${name}, part ${i + 1}`, closed: true, places }));
    case 'Point':
    case 'MultiPoint':
      return [];
    default:
      throw new Error('it has no type of GeoJSON');
  }
}

import type { Position } from 'geojson';
import { fail, ok } from '../../core/math/result';
import { MOST_POINTS, tooManyPoints } from './most-points';
import { textOf, type BroughtPath, type ReadPaths } from './path-format';

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
 * curvature there. Problems: `geojson.broken` with `reason`, `geojson.position` with `line`, `paths.too-many-points`, `paths.none`.
 */
export const readGeojson: ReadPaths = (file) => {
  let lines: Line[];
  try {
    lines = linesOf(JSON.parse(textOf(file)), file.name.replace(/\.[^.]+$/, ''));
  } catch (error) {
    return fail('geojson.broken', {
      file: file.name,
      reason: error instanceof Error ? error.message : String(error),
    });
  }
  lines = lines.filter(({ places }) => places.length > 1);
  if (lines.reduce((sum, { places }) => sum + places.length, 0) > MOST_POINTS) return tooManyPoints(file.name);
  if (lines.length === 0) return fail('paths.none', { file: file.name });
  for (const { name, places } of lines) {
    const wrong = places.find((place) => !isPosition(place));
    if (wrong !== undefined) return fail('geojson.position', { name, text: JSON.stringify(wrong).slice(0, 60) });
  }
  const all = lines.flatMap(({ places }) => places);
  const middle = (k: 0 | 1) => {
    const values = all.map((place) => place[k]);
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
      position: [(p[0] - lon) * east, (p[1] - lat) * north, p[2] ?? 0] as const,
    }));
    return { name, kind: 'straight', closed, points };
  });
  const note = `Projected to metres about ${lat.toFixed(5)}°, ${lon.toFixed(5)}°.`;
  return ok({ paths, unit: 1, isFlat: all.every((place) => place.length < 3), up: 'z', note });
};

/** Longitude and latitude in degrees, and a height if there is one. */
const isPosition = (place: unknown): boolean =>
  Array.isArray(place) &&
  Math.abs(place[0] as number) <= 360 &&
  Math.abs(place[1] as number) <= 90 &&
  place.slice(0, 3).every(Number.isFinite);

/** Collections within each other at the most. */
const DEEPEST = 64;

/** What should be a list, at one place of the file. */
function listOf(value: unknown, what: string): unknown[] {
  if (!Array.isArray(value)) throw new Error(`${what} is no list`);
  return value;
}

function linesOf(value: unknown, name: string, deep = 0): Line[] {
  if (typeof value !== 'object' || value === null || deep > DEEPEST) throw new Error('it has no type of GeoJSON');
  const { type, features, geometries, geometry, properties, coordinates } = value as Readonly<Record<string, unknown>>;
  const parts = (lines: unknown[], closed: boolean): Line[] =>
    lines.map((places, i) => ({
      name: lines.length > 1 && type !== 'Polygon' ? `${name}, part ${i + 1}` : name,
      closed,
      places: listOf(places, `a line of ${name}`) as Position[],
    }));
  const list = () => listOf(coordinates, `coordinates of ${name}`);
  switch (type) {
    case 'FeatureCollection':
      return listOf(features, 'features').flatMap((feature, i) => linesOf(feature, `${name} ${i + 1}`, deep + 1));
    case 'Feature': {
      const own = (properties as { readonly name?: unknown } | null | undefined)?.name;
      return geometry ? linesOf(geometry, typeof own === 'string' ? own : name, deep + 1) : [];
    }
    case 'GeometryCollection':
      return listOf(geometries, 'geometries').flatMap((each) => linesOf(each, name, deep + 1));
    case 'LineString':
      return [{ name, closed: false, places: list() as Position[] }];
    case 'MultiLineString':
      return parts(list(), false);
    case 'Polygon':
      return parts(list(), true);
    case 'MultiPolygon':
      return parts(
        list().flatMap((rings) => listOf(rings, `a polygon of ${name}`)),
        true,
      );
    case 'Point':
    case 'MultiPoint':
      return [];
    default:
      throw new Error('it has no type of GeoJSON');
  }
}

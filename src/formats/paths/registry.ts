import type { OnProgress } from '../../core/math/progress';
import { fail, type Result } from '../../core/math/result';
import { caught } from '../caught';
import type { NamedBytes } from '../format';
import type { BroughtPaths, PathReader, PathWriter } from './path-format';

export type { PathWriter } from './path-format';

export const PATH_READERS: readonly PathReader[] = [
  { kind: 'svg', label: 'SVG', extensions: ['svg'], load: async () => (await import('./read-svg')).readSvg },
  { kind: 'dxf', label: 'DXF', extensions: ['dxf'], load: async () => (await import('./read-dxf')).readDxf },
  {
    kind: 'csv',
    label: 'CSV',
    extensions: ['csv', 'tsv', 'txt', 'xyz'],
    load: async () => (await import('./read-csv')).readCsv,
  },
  {
    kind: 'geojson',
    label: 'GeoJSON',
    extensions: ['geojson', 'json'],
    load: async () => (await import('./read-geojson')).readGeojson,
  },
  {
    kind: 'obj',
    label: 'OBJ lines',
    extensions: ['obj'],
    load: async () => (await import('./read-obj-lines')).readObjLines,
  },
  {
    kind: 'glb',
    label: 'GLB lines',
    extensions: ['glb'],
    load: async () => (await import('./read-glb-lines')).readGlbLines,
  },
];

const writers = () => import('./write-paths');

export const PATH_WRITERS: readonly PathWriter[] = [
  {
    kind: 'svg',
    label: 'the plan as SVG',
    hint: 'Seen from above, cubic curves at full size',
    write: async (path) => (await writers()).writeSvgPlan(path),
  },
  {
    kind: 'csv',
    label: 'stations as CSV',
    hint: 'Station, place, direction and radius along the path, metres, y up',
    write: async (path) => (await writers()).writeCsvStations(path),
  },
  {
    kind: 'obj',
    label: 'lines as OBJ',
    hint: 'A polyline along the path, metres, y up',
    write: async (path) => (await writers()).writeObjLine(path),
  },
];

export const PATH_EXTENSIONS = PATH_READERS.flatMap(({ extensions }) => extensions);

/** Largest file of paths that is read, bytes. */
const MAX_PATHS_BYTES = 128 * 1024 * 1024;

/** Reads the lines of a file. Problems: `file.empty`, `file.too-large`, `paths.unknown-format`, and those of the format. */
export async function readPaths(file: NamedBytes, onProgress?: OnProgress): Promise<Result<BroughtPaths>> {
  const { name, bytes } = file;
  if (bytes.length === 0) return fail('file.empty', { file: name });
  if (bytes.length > MAX_PATHS_BYTES)
    return fail('file.too-large', { file: name, bytes: bytes.length, most: MAX_PATHS_BYTES });
  const extension = name.slice(name.lastIndexOf('.') + 1).toLowerCase();
  const reader = PATH_READERS.find(({ extensions }) => extensions.includes(extension));
  return reader
    ? caught(name, async () => (await reader.load())(file, onProgress))
    : fail('paths.unknown-format', { file: name, known: PATH_EXTENSIONS.join(', ') });
}

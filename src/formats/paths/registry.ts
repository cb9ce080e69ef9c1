import type { OnProgress } from '../../core/math/progress';
import { fail, type Result } from '../../core/math/result';
import { caught } from '../caught';
import type { NamedBytes } from '../format';
import type { BroughtPaths, PathReader, PathWriter } from './path-format';
import { csv } from './read-csv';
import { dxf } from './read-dxf';
import { geojson } from './read-geojson';
import { glbLines } from './read-glb-lines';
import { objLines } from './read-obj-lines';
import { svg } from './read-svg';
import { csvStations, objLine, svgPlan } from './write-paths';

export type { PathWriter } from './path-format';

export const PATH_READERS: readonly PathReader[] = [svg, dxf, csv, geojson, objLines, glbLines];
export const PATH_WRITERS: readonly PathWriter[] = [svgPlan, csvStations, objLine];

export const PATH_EXTENSIONS = PATH_READERS.flatMap(({ extensions }) => extensions);

/** Largest file of paths that is read, bytes. */
export const MAX_PATHS_BYTES = 128 * 1024 * 1024;

/** Reads the lines of a file. Problems: `file.empty`, `file.too-large`, `paths.unknown-format`, and those of the format. */
export async function readPaths(file: NamedBytes, onProgress?: OnProgress): Promise<Result<BroughtPaths>> {
  const { name, bytes } = file;
  if (bytes.length === 0) return fail('file.empty', { file: name });
  if (bytes.length > MAX_PATHS_BYTES)
    return fail('file.too-large', { file: name, bytes: bytes.length, most: MAX_PATHS_BYTES });
  const extension = name.slice(name.lastIndexOf('.') + 1).toLowerCase();
  const reader = PATH_READERS.find(({ extensions }) => extensions.includes(extension));
  return reader
    ? caught(name, () => reader.read(file, onProgress))
    : fail('paths.unknown-format', { file: name, known: PATH_EXTENSIONS.join(', ') });
}

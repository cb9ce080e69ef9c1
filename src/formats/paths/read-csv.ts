import Papa from 'papaparse';
import { fail, ok, type Result } from '../../core/math/result';
import type { Vec3 } from '../../core/math/vec3';
import { definePathReader, textOf, type BroughtPaths } from './path-format';

/** Names that columns go by, for each coordinate. */
const NAMES: readonly (readonly string[])[] = [
  ['x', 'east', 'easting', 'e'],
  ['y', 'north', 'northing', 'n'],
  ['z', 'height', 'elevation', 'level', 'h'],
];

/**
 * Points from a table: columns by their names (x, y, z; easting, northing, height), or the first two or three of numbers where there are
 * no names. Any delimiter. Problems: `csv.columns`, `csv.number` with `line` and `text`, `paths.none`.
 */
export const csv = definePathReader({
  kind: 'csv',
  label: 'CSV',
  extensions: ['csv', 'tsv', 'txt', 'xyz'],
  read(file, onProgress): Result<BroughtPaths> {
    const { data } = Papa.parse<string[]>(textOf(file).trim(), {
      skipEmptyLines: false,
      delimitersToGuess: [',', ';', '\t', '|', ' '],
    });
    onProgress?.(0.5); // parsing is half of it
    const rows = data
      .map((row, i) => ({ line: i + 1, cells: row.map((cell) => cell.trim()) }))
      .filter(({ cells }) => cells.some(Boolean));
    const [head] = rows;
    if (!head) return fail('paths.none', { file: file.name });
    const isNamed = head.cells.every((cell) => cell === '' || Number.isNaN(numberOf(cell)));
    const columns = isNamed ? namedColumns(head.cells) : head.cells.slice(0, 3).map((_, i) => i);
    if (columns.length < 2 || columns.some((i) => i < 0))
      return fail('csv.columns', { file: file.name, names: head.cells.join(', ') });
    const places: Vec3[] = [];
    for (const { line, cells } of isNamed ? rows.slice(1) : rows) {
      if (line % LINES_PER_STEP === 0) onProgress?.(0.5 + (0.5 * line) / data.length);
      const values = columns.map((i) => numberOf(cells[i] ?? ''));
      const wrong = values.findIndex((value) => !Number.isFinite(value));
      if (wrong >= 0) return fail('csv.number', { line, text: (cells[columns[wrong]!] ?? '').slice(0, 40) });
      places.push([values[0]!, values[1]!, values[2] ?? 0]);
    }
    if (places.length < 2) return fail('paths.none', { file: file.name });
    const name = file.name.replace(/\.[^.]+$/, '');
    const points = places.map((position) => ({ position }));
    const isNorthing = isNamed && !head.cells.some((cell) => cell.toLowerCase() === 'x');
    return ok({
      paths: [{ name, kind: 'straight', closed: false, points }],
      isFlat: columns.length < 3,
      ...(isNorthing && { up: 'z' as const }),
    });
  },
});

const LINES_PER_STEP = 5000;

const numberOf = (cell: string): number => (cell === '' ? Number.NaN : Number(cell.replace(',', '.')));

function namedColumns(cells: readonly string[]): number[] {
  const names = cells.map((cell) =>
    cell
      .toLowerCase()
      .replace(/[[(].*$/, '')
      .trim(),
  );
  const found = NAMES.map((options) => names.findIndex((name) => options.includes(name)));
  return found[2]! < 0 ? found.slice(0, 2) : found;
}

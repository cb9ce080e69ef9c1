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
 * no names; a first one that counts the points is left out. Any delimiter. Problems: `csv.columns`, `csv.number` and `csv.ambiguous` with `line`
 * and `text`, `paths.none`.
 */
export const csv = definePathReader({
  kind: 'csv',
  label: 'CSV',
  extensions: ['csv', 'tsv', 'txt', 'xyz'],
  read(file, onProgress): Result<BroughtPaths> {
    const text = textOf(file).trim().replaceAll(/\r\n?/g, '\n');
    const delimiter = delimiterOf(text);
    const { data } = Papa.parse<string[]>(text, { skipEmptyLines: false, newline: '\n', delimiter });
    onProgress?.(0.5); // parsing is half of it
    const rows = data
      .map((row, i) => ({ line: i + 1, cells: row.map((cell) => cell.trim()) }))
      .filter(({ cells }) => cells.some(Boolean));
    const [head] = rows;
    if (!head) return fail('paths.none', { file: file.name });
    const isNamed = head.cells.every((cell) => cell === '' || Number.isNaN(numberOf(cell)));
    const isCounted =
      !isNamed && head.cells.length > 3 && rows.every(({ cells }, i) => isNext(cells[0]!, head.cells[0]!, i));
    const first = isCounted ? 1 : 0;
    const columns = isNamed ? namedColumns(head.cells) : head.cells.slice(first, first + 3).map((_, i) => first + i);
    if (columns.length < 2 || columns.some((i) => i < 0))
      return fail('csv.columns', { file: file.name, names: head.cells.join(', ') });
    const places: Vec3[] = [];
    for (const { line, cells } of isNamed ? rows.slice(1) : rows) {
      if (line % LINES_PER_STEP === 0) onProgress?.(0.5 + (0.5 * line) / data.length);
      const values = columns.map((i) => numberOf(cells[i] ?? ''));
      const wrong = values.findIndex((value) => !Number.isFinite(value));
      const unsure = columns.find((i) => IN_THOUSANDS.test(cells[i] ?? ''));
      if (unsure !== undefined) return fail('csv.ambiguous', { line, text: cells[unsure]!.slice(0, 40) });
      if (wrong >= 0) return fail('csv.number', { line, text: (cells[columns[wrong]!] ?? '').slice(0, 40) });
      places.push([values[0]!, values[1]!, values[2] ?? 0]);
    }
    if (places.length < 2) return fail('paths.none', { file: file.name });
    const name = file.name.replace(/\.[^.]+$/, '');
    const points = places.map((position) => ({ position }));
    const extra = isNamed ? 0 : head.cells.filter(Boolean).length - first - columns.length;
    const notes = [
      isCounted && 'The first column counts the points and was left out.',
      extra > 0 && `The table has no names of columns: columns ${first + 1} to ${first + 3} were taken as x, y and z.`,
    ].filter(Boolean);
    const isNorthing = isNamed && !head.cells.some((cell) => cell.toLowerCase() === 'x');
    return ok({
      paths: [{ name, kind: 'straight', closed: false, points }],
      isFlat: columns.length < 3,
      ...(isNorthing && { up: 'z' as const }),
      ...(notes.length > 0 && { note: notes.join(' ') }),
    });
  },
});

const LINES_PER_STEP = 5000;

/** Thousands with a comma between, or three decimals after one. */
const IN_THOUSANDS = /^[-+]?[1-9]\d{0,2}(,\d{3})+(\.\d*)?$/;

/** Lines that the delimiter is judged by. */
const JUDGED = 50;

/** What stands between cells: what is in all lines and is no decimal comma; undefined where it is to be guessed. */
function delimiterOf(text: string): string {
  const lines = text.split('\n', JUDGED).filter((line) => line.trim() !== '');
  const inAll = (mark: string) => lines.every((line) => line.includes(mark));
  return ['\t', ';', '|', ','].find(inAll) ?? (inAll(' ') ? ' ' : '');
}

/** Whether a cell counts on by one from the first line's. */
const isNext = (cell: string, from: string, i: number): boolean =>
  /^\d+$/.test(cell) && Number(cell) === Number(from) + i;

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

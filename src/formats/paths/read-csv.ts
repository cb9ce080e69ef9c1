import Papa from 'papaparse';
import { fail, ok, type Result } from '../../core/math/result';
import type { PathPoint } from '../../core/curve/path-spec';
import { MOST_POINTS, tooManyPoints } from './most-points';
import { textOf, type ReadPaths } from './path-format';

/** Names that columns go by, for each coordinate. */
const NAMES: readonly (readonly string[])[] = [
  ['x', 'east', 'easting', 'e'],
  ['y', 'north', 'northing', 'n'],
  ['z', 'height', 'elevation', 'level', 'h'],
];

/**
 * Points from a table: columns by their names (x, y, z; easting, northing, height), or the first two or three of numbers where there are
 * no names; a first one that counts the points is left out. Any delimiter. Problems: `csv.columns`, `csv.number` and `csv.ambiguous` with `line`
 * and `text`, `paths.too-many-points`, `paths.none`.
 */
export const readCsv: ReadPaths = (file, onProgress) => {
  const text = textOf(file).trim().replaceAll(/\r\n?/g, '\n');
  const beginning = text.split('\n', JUDGED).filter((line) => line.trim() !== '');
  const options = { newline: '\n', delimiter: delimiterOf(beginning) } as const;
  const judged = Papa.parse<string[]>(beginning.join('\n'), options).data.map((row) => row.map((cell) => cell.trim()));
  const [head] = judged;
  if (!head?.some(Boolean)) return fail('paths.none', { file: file.name });
  const isNamed = head.every((cell) => cell === '' || Number.isNaN(numberOf(cell)));
  const isCounted = !isNamed && head.length > 3 && judged.every((cells, i) => isNext(cells[0], head[0], i));
  const first = isCounted ? 1 : 0;
  const columns = isNamed ? namedColumns(head) : head.slice(first, first + 3).map((_, i) => first + i);
  if (columns.length < 2 || columns.some((i) => i < 0))
    return fail('csv.columns', { file: file.name, names: head.join(', ').slice(0, 200) });
  const points: PathPoint[] = [];
  let problem: Extract<Result<never>, { ok: false }> | undefined;
  let line = 0;
  let isAfterHead = !isNamed;
  Papa.parse<string[]>(text, {
    ...options,
    step({ data, meta }, parser) {
      line++;
      if (line % LINES_PER_STEP === 0) onProgress?.(meta.cursor / text.length);
      if (data.every((cell) => cell.trim() === '')) return;
      if (isAfterHead) problem = take(data, columns, line, points);
      isAfterHead = true;
      if (points.length > MOST_POINTS) problem = tooManyPoints(file.name);
      if (problem) parser.abort();
    },
  });
  if (problem) return problem;
  if (points.length < 2) return fail('paths.none', { file: file.name });
  const extra = isNamed ? 0 : head.filter(Boolean).length - first - columns.length;
  const notes = [
    isCounted && 'The first column counts the points and was left out.',
    extra > 0 && `The table has no names of columns: columns ${first + 1} to ${first + 3} were taken as x, y and z.`,
  ].filter(Boolean);
  const isNorthing = isNamed && !head.some((cell) => cell.toLowerCase() === 'x');
  return ok({
    paths: [{ name: file.name.replace(/\.[^.]+$/, ''), kind: 'straight', closed: false, points }],
    isFlat: columns.length < 3,
    ...(isNorthing && { up: 'z' as const }),
    ...(notes.length > 0 && { note: notes.join(' ') }),
  });
};

const LINES_PER_STEP = 5000;

/** Takes the point of a row. Problems: `csv.number`, `csv.ambiguous`. */
function take(row: readonly string[], columns: readonly number[], line: number, points: PathPoint[]) {
  const cells = columns.map((i) => (row[i] ?? '').trim());
  const wrong = (code: 'csv.number' | 'csv.ambiguous', cell: string) => fail(code, { line, text: cell.slice(0, 40) });
  const unsure = cells.find((cell) => IN_THOUSANDS.test(cell));
  if (unsure !== undefined) return wrong('csv.ambiguous', unsure);
  const [x, y, z = 0] = cells.map(numberOf);
  const at = [x, y, z].findIndex((value) => !Number.isFinite(value));
  if (at >= 0) return wrong('csv.number', cells[at]);
  points.push({ position: [x, y, z] });
  return undefined;
}

/** Thousands with a comma between, or three decimals after one. */
const IN_THOUSANDS = /^[-+]?[1-9]\d{0,2}(,\d{3})+(\.\d*)?$/;

/** Lines by which delimiter and columns are judged. */
const JUDGED = 50;

/** What stands between cells: what is in all lines and is no decimal comma; empty where it is to be guessed. */
function delimiterOf(lines: readonly string[]): string {
  const inAll = (mark: string) => lines.every((line) => line.includes(mark));
  return ['\t', ';', '|', ',', ' '].find(inAll) ?? '';
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
  return found[2] < 0 ? found.slice(0, 2) : found;
}

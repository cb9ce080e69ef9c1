import { fail, ok } from '../../core/math/result';
import type { Vec3 } from '../../core/math/vec3';
import { chainLines } from './chain-lines';
import { asUtf8 } from '../text';
import { Lines, LONGEST_LINE } from '../text-lines';
import { MOST_POINTS, tooManyPoints } from './most-points';
import type { ReadPaths } from './path-format';

const LINES_PER_STEP = 20_000;

/**
 * Line elements of an OBJ (Wavefront, Object Files, appendix B1: `v`, `l`, `o`, `g`), joined where they run on into each other. Problems:
 * `obj.number` and `obj.index` with their line, `file.long-line`, `paths.too-many-points`, `paths.none`.
 */
export const readObjLines: ReadPaths = (file, onProgress) => {
  const places: Vec3[] = [];
  const lines: { name: string; places: Vec3[] }[] = [];
  let points = 0;
  let name = file.name.replace(/\.[^.]+$/, '');
  const lineReader = new Lines(asUtf8(file.bytes));
  for (let text = lineReader.next(); text !== undefined; text = lineReader.next()) {
    const i = lineReader.number - 1;
    if (i % LINES_PER_STEP === 0) onProgress?.(lineReader.share);
    if (text.length > LONGEST_LINE) return fail('file.long-line', { file: file.name, line: i + 1 });
    const [word, ...rest] = text.trim().split(/\s+/);
    if (word === 'v') {
      const [x, y, z] = rest.map(Number);
      if (![x, y, z].every(Number.isFinite)) return fail('obj.number', { line: i + 1, text: text.slice(0, 60) });
      places.push([x, y, z]);
      if (places.length > MOST_POINTS) return tooManyPoints(file.name);
    } else if ((word === 'o' || word === 'g') && rest.length > 0) name = rest.join(' ').slice(0, 200);
    else if (word === 'l') {
      const line: Vec3[] = [];
      for (const corner of rest) {
        const index = Number.parseInt(corner, 10);
        const place = places[index < 0 ? places.length + index : index - 1];
        if (!place) return fail('obj.index', { line: i + 1, corner, vertices: places.length });
        line.push(place);
      }
      points += line.length;
      if (points > 2 * MOST_POINTS) return tooManyPoints(file.name);
      if (line.length > 1) lines.push({ name, places: line });
    }
  }
  const paths = chainLines(lines);
  return paths.length > 0 ? ok({ paths, isFlat: false }) : fail('paths.none', { file: file.name });
};

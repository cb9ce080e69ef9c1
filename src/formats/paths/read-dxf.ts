import { fail, ok, type Problem } from '../../core/math/result';
import { chainLines } from './chain-lines';
import { Drawing, unitOf } from './dxf-drawing';
import { readEntities } from './dxf-groups';
import { MOST_POINTS, tooManyPoints } from './most-points';
import type { ReadPaths } from './path-format';

/**
 * Lines, polylines with bulges, arcs, circles, ellipses and splines of a DXF, also within blocks; single lines that run on into each
 * other are joined. Problems: `dxf.broken` with `reason`, `paths.too-many-points`, `paths.none`; a warning `dxf.left-out` tells what
 * else there was.
 */
export const readDxf: ReadPaths = (file, onProgress) => {
  const drawing = new Drawing();
  const take = (entity: Parameters<Drawing['take']>[0]) => drawing.points <= MOST_POINTS && drawing.take(entity);
  const broken = readEntities(file, take, onProgress);
  if (broken) return broken;
  drawing.finish();
  const { paths, lines, leftOut, points: count } = drawing;
  if (count > MOST_POINTS) return tooManyPoints(file.name);
  const sound = [...paths, ...chainLines(lines)].filter(
    ({ points }) => points.length > 1 && points.every(({ position }) => position.every(Number.isFinite)),
  );
  if (sound.length === 0) return fail('paths.none', { file: file.name });
  const isFlat = sound.every(({ points }) => points.every(({ position }) => position[2] === 0));
  const kinds = [...leftOut].slice(0, 12).join(', ');
  const warnings: Problem[] = kinds ? [{ code: 'dxf.left-out', path: [], facts: { kinds } }] : [];
  const unit = unitOf(drawing.header);
  return ok({ paths: sound, isFlat, up: 'z', ...(unit !== undefined && { unit }) }, warnings);
};

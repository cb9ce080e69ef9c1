import { fail, ok, type Problem, type Result } from '../../core/math/result';
import { chainLines } from './chain-lines';
import { drawingOf } from './dxf-blocks';
import { readGroups, type Entity } from './dxf-groups';
import { definePathReader, textOf, type BroughtPaths } from './path-format';

/** Metres per unit by $INSUNITS (DXF Reference, HEADER section): inches, feet, miles, mm, cm, m, km, yards, dm. */
const UNITS: Readonly<Record<number, number>> = {
  1: 0.0254,
  2: 0.3048,
  3: 1609.344,
  4: 0.001,
  5: 0.01,
  6: 1,
  7: 1000,
  10: 0.9144,
  14: 0.1,
};

/**
 * Lines, polylines with bulges, arcs, circles, ellipses and splines of a DXF, also within blocks; single lines that run on into each
 * other are joined. Problems: `dxf.broken` with `reason`, `paths.none`; a warning `dxf.left-out` tells what else there was.
 */
export const dxf = definePathReader({
  kind: 'dxf',
  label: 'DXF',
  extensions: ['dxf'],
  read(file): Result<BroughtPaths> {
    const read = readGroups(file.name, textOf(file));
    if (!read.ok) return read;
    const { paths, lines, leftOut } = drawingOf(read.value);
    const all = [
      ...paths,
      ...chainLines(lines.map(({ name, points }) => ({ name, places: points.map(({ position }) => position) }))),
    ];
    const sound = all.filter(
      ({ points }) => points.length > 1 && points.every(({ position }) => position.every(Number.isFinite)),
    );
    if (sound.length === 0) return fail('paths.none', { file: file.name });
    const isFlat = sound.every(({ points }) => points.every(({ position }) => position[2] === 0));
    const warnings: Problem[] =
      leftOut.size > 0
        ? [{ code: 'dxf.left-out', path: [], facts: { kinds: [...leftOut].slice(0, 12).join(', ') } }]
        : [];
    const unit = unitOf(read.value);
    return ok({ paths: sound, isFlat, up: 'z', ...(unit !== undefined && { unit }) }, warnings);
  },
});

function unitOf(entities: readonly Entity[]): number | undefined {
  const header = entities.find(({ type, groups }) => type === 'SECTION' && groups[0]?.value === 'HEADER');
  const at = header?.groups.findIndex(({ code, value }) => code === 9 && value === '$INSUNITS') ?? -1;
  return at < 0 ? undefined : UNITS[Number(header!.groups[at + 1]?.value)];
}

import DxfParser, { type IEntity } from 'dxf-parser';
import type { ILineEntity } from 'dxf-parser/dist/entities/line';
import { fail, ok, type Problem, type Result } from '../../core/math/result';
import type { Vec3 } from '../../core/math/vec3';
import { chainLines } from './chain-lines';
import { pathOf, placeOf } from './dxf-entities';
import { keepGroups } from './dxf-groups';
import { definePathReader, textOf, type BroughtPath, type BroughtPaths } from './path-format';

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
 * Lines, polylines with bulges, arcs, circles, ellipses and splines of a DXF; single lines that run on into each other are joined. Problems:
 * `dxf.broken` with `reason`, `paths.none`; a warning `dxf.left-out` tells what else there was.
 */
export const dxf = definePathReader({
  kind: 'dxf',
  label: 'DXF',
  extensions: ['dxf'],
  read(file): Result<BroughtPaths> {
    const line = wrongLine(textOf(file));
    if (line !== undefined)
      return fail('dxf.broken', { file: file.name, reason: `line ${line} holds no group code of an ASCII DXF` });
    let entities: IEntity[];
    let unit: number | undefined;
    try {
      const parser = new DxfParser();
      for (const name of ['CIRCLE', 'ELLIPSE', 'SPLINE'] as const) parser.registerEntityHandler(keepGroups(name));
      const parsed = parser.parseSync(textOf(file));
      if (!parsed) return fail('dxf.broken', { file: file.name, reason: 'it has no content' });
      entities = parsed.entities ?? [];
      unit = UNITS[Number(parsed.header?.$INSUNITS)];
    } catch (error) {
      return fail('dxf.broken', { file: file.name, reason: error instanceof Error ? error.message : String(error) });
    }
    const paths: BroughtPath[] = [];
    const single: { name: string; places: Vec3[] }[] = [];
    const leftOut = new Set<string>();
    for (const entity of entities) {
      const name = `${entity.layer || 'Path'} ${paths.length + single.length + 1}`.slice(0, 200);
      if (entity.type === 'LINE') {
        const { vertices } = entity as ILineEntity;
        if (vertices.length > 1) single.push({ name, places: vertices.map(placeOf) });
        continue;
      }
      const path = pathOf(entity, name);
      if (path) paths.push(path);
      else leftOut.add(entity.type);
    }
    paths.push(...chainLines(single));
    const sound = paths.filter(
      ({ points }) => points.length > 1 && points.every(({ position }) => position.every(Number.isFinite)),
    );
    if (sound.length === 0) return fail('paths.none', { file: file.name });
    const isFlat = sound.every(({ points }) => points.every(({ position }) => position[2] === 0));
    const warnings: Problem[] =
      leftOut.size > 0 ? [{ code: 'dxf.left-out', path: [], facts: { kinds: [...leftOut].join(', ') } }] : [];
    return ok({ paths: sound, isFlat, up: 'z', ...(unit !== undefined && { unit }) }, warnings);
  },
});

/** The first of the odd lines that is no group code (DXF Reference, group codes); undefined where there is none. */
function wrongLine(text: string): number | undefined {
  const lines = text.trim().split(/\r?\n/);
  for (let i = 0; i < lines.length; i += 2) if (!/^\uFEFF?\s*-?\d{1,4}\s*$/.test(lines[i]!)) return i + 1;
  return undefined;
}

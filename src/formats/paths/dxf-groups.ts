import { fail, ok, type Result } from '../../core/math/result';
import type { Vec3 } from '../../core/math/vec3';

/** A group of a DXF: a code and what it says (DXF Reference, group codes). */
export interface Group {
  readonly code: number;
  readonly value: string;
}

/** What begins with a group 0, and the groups up to the next one. */
export interface Entity {
  readonly type: string;
  readonly groups: readonly Group[];
}

/** The entities of a text, in its order. Problems: `dxf.broken` with `reason`. */
export function readGroups(file: string, text: string): Result<readonly Entity[]> {
  const lines = text.trimEnd().split(/\r?\n|\r/);
  const entities: { type: string; groups: Group[] }[] = [];
  for (let i = 0; i + 1 < lines.length; i += 2) {
    if (!/^\s*-?\d{1,4}\s*$/.test(lines[i]!))
      return fail('dxf.broken', { file, reason: `line ${i + 1} holds no group code of an ASCII DXF` });
    const group = { code: Number(lines[i]), value: lines[i + 1]!.trim() };
    if (group.code === 0) entities.push({ type: group.value, groups: [] });
    else entities[entities.length - 1]?.groups.push(group);
  }
  return entities.length > 0 ? ok(entities) : fail('dxf.broken', { file, reason: 'it has no content' });
}

export const wordOf = ({ groups }: Entity, code: number): string | undefined =>
  groups.find((group) => group.code === code)?.value;

export const numbersOf = ({ groups }: Entity, code: number): number[] =>
  groups.filter((group) => group.code === code).map(({ value }) => Number(value));

export const numberOf = (entity: Entity, code: number, otherwise = 0): number => {
  const text = wordOf(entity, code);
  return text === undefined ? otherwise : Number(text);
};

/** Places of which x has that code, y ten more and z twenty more (DXF Reference, group codes 10 to 37 and 210 to 230). */
export function placesOf({ groups }: Entity, code: number): Vec3[] {
  const places: [number, number, number][] = [];
  for (const group of groups) {
    if (group.code === code) places.push([Number(group.value), 0, 0]);
    const c = (group.code - code) / 10;
    if ((c === 1 || c === 2) && places.length > 0) places[places.length - 1]![c] = Number(group.value);
  }
  return places;
}

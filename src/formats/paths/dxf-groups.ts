import type { OnProgress } from '../../core/math/progress';
import { fail, type Result } from '../../core/math/result';
import type { Vec3 } from '../../core/math/vec3';
import { asUtf8 } from '../text';
import { Lines } from '../text-lines';
import type { NamedBytes } from '../format';

/** A group of a DXF: a code and what it says, a number where the code is one of numbers (DXF Reference, group codes). */
export interface Group {
  readonly code: number;
  readonly value: string | number;
}

/** What begins with a group 0, and the groups up to the next one. */
export interface Entity {
  readonly type: string;
  readonly groups: readonly Group[];
}

const ENTITIES_PER_STEP = 5000;

const isNumeric = (code: number): boolean => (code >= 10 && code < 100) || (code >= 210 && code < 240);

/** Gives the entities of a file one after another. Problems: `dxf.broken` with `reason`. */
export function readEntities(
  { name: file, bytes }: NamedBytes,
  onEntity: (entity: Entity) => void,
  onProgress?: OnProgress,
): Extract<Result<never>, { ok: false }> | undefined {
  const lines = new Lines(asUtf8(bytes), { joined: false });
  let open: { type: string; groups: Group[] } | undefined;
  let count = 0;
  for (let line = lines.next(); line !== undefined; line = lines.next()) {
    const code = /^\s*(-?\d{1,4})\s*$/.exec(line)?.[1];
    if (code === undefined) {
      if (line.trim() === '' && lines.isOver) break;
      return fail('dxf.broken', { file, reason: `line ${lines.number} holds no group code of an ASCII DXF` });
    }
    const value = lines.next()?.trim();
    if (value === undefined) break;
    if (code === '0' || Number(code) === 0) {
      if (open) onEntity(open);
      open = { type: value, groups: [] };
      if (++count % ENTITIES_PER_STEP === 0) onProgress?.(lines.share);
    } else open?.groups.push({ code: Number(code), value: isNumeric(Number(code)) ? Number(value) : value });
  }
  if (open) onEntity(open);
  return open ? undefined : fail('dxf.broken', { file, reason: 'it has no content' });
}

export const wordOf = ({ groups }: Entity, code: number): string | undefined =>
  groups.find((group) => group.code === code)?.value.toString();

export const numbersOf = ({ groups }: Entity, code: number): number[] =>
  groups.filter((group) => group.code === code).map(({ value }) => Number(value));

export const numberOf = ({ groups }: Entity, code: number, otherwise = 0): number => {
  const group = groups.find((each) => each.code === code);
  return group === undefined ? otherwise : Number(group.value);
};

/** Places of which x has that code, y ten more and z twenty more (DXF Reference, group codes 10 to 37 and 210 to 230). */
export function placesOf({ groups }: Entity, code: number): Vec3[] {
  const places: [number, number, number][] = [];
  for (const group of groups) {
    if (group.code === code) places.push([Number(group.value), 0, 0]);
    const c = (group.code - code) / 10;
    if ((c === 1 || c === 2) && places.length > 0) places[places.length - 1][c] = Number(group.value);
  }
  return places;
}

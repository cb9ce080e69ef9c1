import type DxfParser from 'dxf-parser';
import type { IEntity } from 'dxf-parser';
import type { Vec3 } from '../../core/math/vec3';

type Handler = InstanceType<Parameters<DxfParser['registerEntityHandler']>[0]>;
type Group = Parameters<Handler['parseEntity']>[1];

/** An entity with all that the file says of it, where the parser's own reading leaves out weights or normals. */
export interface GroupsEntity extends IEntity {
  readonly groups: readonly Group[];
}

/** A handler for {@link DxfParser.registerEntityHandler}. */
export const keepGroups = (name: Handler['ForEntityName']): new () => Handler =>
  class implements Handler {
    readonly ForEntityName = name;

    parseEntity(scanner: Parameters<Handler['parseEntity']>[0], { value }: Group): IEntity {
      const groups: Group[] = [];
      for (let group = scanner.next(); group.code !== 0; group = scanner.next()) {
        groups.push(group);
        if (scanner.isEOF()) break;
      }
      const layer = groups.find(({ code }) => code === 8)?.value;
      return { type: value, layer, groups } as unknown as GroupsEntity;
    }
  };

export const numbersOf = (groups: readonly Group[], code: number): number[] =>
  groups.filter((group) => group.code === code).map(({ value }) => Number(value));

/** Places of which x has that code, y ten more and z twenty more (DXF Reference, group codes 10 to 37 and 210 to 230). */
export function placesOf(groups: readonly Group[], code: number): Vec3[] {
  const places: [number, number, number][] = [];
  for (const group of groups) {
    if (group.code === code) places.push([Number(group.value), 0, 0]);
    const c = (group.code - code) / 10;
    if ((c === 1 || c === 2) && places.length > 0) places[places.length - 1]![c] = Number(group.value);
  }
  return places;
}

import { normalize, scale, Z_AXIS as Z, type Vec3 } from '../../core/math/vec3';
import { axesOf, mapped, pathOf } from './dxf-entities';
import { numberOf, placesOf, wordOf, type Entity } from './dxf-groups';
import type { BroughtPath } from './path-format';

/** Inserts within each other, and entities that copies of blocks have together, at the most. */
const DEEPEST = 16;
const MOST = 50_000;
const DEGREE = Math.PI / 180;

interface Block {
  readonly base: Vec3;
  readonly entities: readonly Entity[];
}

/** The lines of a drawing, and the kinds of entities that are none. */
export interface Drawing {
  readonly paths: BroughtPath[];
  /** LINE entities, which may run on into each other. */
  readonly lines: BroughtPath[];
  readonly leftOut: Set<string>;
  /** Entities of copies of blocks so far. */
  count: number;
}

/** Collects the lines of a drawing; inserts of blocks draw what is in these (DXF Reference, INSERT and the BLOCKS section). */
export function drawingOf(entities: readonly Entity[]): Drawing {
  const blocks = blocksOf(entities);
  const drawing: Drawing = { paths: [], lines: [], leftOut: new Set(), count: 0 };
  gather(sectionOf(entities, 'ENTITIES'), blocks, drawing, new Set(), (path) => path);
  return drawing;
}

/** The entities of a section. */
export function sectionOf(entities: readonly Entity[], name: string): readonly Entity[] {
  const start = entities.findIndex((entity) => entity.type === 'SECTION' && wordOf(entity, 2) === name);
  if (start < 0) return [];
  const end = entities.findIndex(({ type }, i) => i > start && type === 'ENDSEC');
  return entities.slice(start + 1, end < 0 ? undefined : end);
}

function blocksOf(entities: readonly Entity[]): ReadonlyMap<string, Block> {
  const blocks = new Map<string, Block>();
  let open: Entity[] | undefined;
  for (const entity of sectionOf(entities, 'BLOCKS')) {
    if (entity.type === 'BLOCK') {
      open = [];
      blocks.set(wordOf(entity, 2) ?? '', { base: placesOf(entity, 10)[0] ?? [0, 0, 0], entities: open });
    } else if (entity.type === 'ENDBLK') open = undefined;
    else open?.push(entity);
  }
  return blocks;
}

function gather(
  entities: readonly Entity[],
  blocks: ReadonlyMap<string, Block>,
  drawing: Drawing,
  open: ReadonlySet<Block>,
  place: (path: BroughtPath) => BroughtPath,
): void {
  for (let i = 0; i < entities.length; i++) {
    if (open.size > 0 && ++drawing.count > MOST) return void drawing.leftOut.add('INSERT');
    const entity = entities[i]!;
    if (entity.type === 'SEQEND' || entity.type === 'ATTRIB') continue;
    if (entity.type === 'INSERT') {
      const block = blocks.get(wordOf(entity, 2) ?? '');
      if (!block || open.has(block) || open.size >= DEEPEST) drawing.leftOut.add('INSERT');
      else
        for (const put of copiesOf(entity, block))
          gather(block.entities, blocks, drawing, new Set([...open, block]), (path) => place(put(path)));
      continue;
    }
    const vertices: Entity[] = [];
    while (entity.type === 'POLYLINE' && entities[i + 1]?.type === 'VERTEX') vertices.push(entities[++i]!);
    const name = `${wordOf(entity, 8) || 'Path'} ${drawing.paths.length + drawing.lines.length + 1}`.slice(0, 200);
    const path = entity.type === 'LINE' ? lineOf(entity, name) : pathOf(entity, vertices, name);
    if (path) drawing[entity.type === 'LINE' ? 'lines' : 'paths'].push(place(path));
    else drawing.leftOut.add(entity.type);
  }
}

function lineOf(entity: Entity, name: string): BroughtPath | undefined {
  const [from, to] = [placesOf(entity, 10)[0], placesOf(entity, 11)[0]];
  return from && to
    ? { name, kind: 'straight', closed: false, points: [{ position: from }, { position: to }] }
    : undefined;
}

/** How each copy of a block is put: scaled, turned about z, in rows and columns, in the axes of the insert's normal. */
function copiesOf(insert: Entity, { base }: Block): ((path: BroughtPath) => BroughtPath)[] {
  const number = (code: number, otherwise: number) => numberOf(insert, code, otherwise);
  const [sx, sy, sz, angle] = [number(41, 1), number(42, 1), number(43, 1), number(50, 0) * DEGREE];
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  const [x, y, z] = axesOf(normalize(placesOf(insert, 210)[0] ?? Z, Z));
  const inAxes = ([a, b, d]: Vec3): Vec3 => [0, 1, 2].map((k) => a * x[k]! + b * y[k]! + d * z[k]!) as unknown as Vec3;
  const axes = [inAxes([c * sx, s * sx, 0]), inAxes([-s * sy, c * sy, 0]), scale(z, sz)] as const;
  const at = placesOf(insert, 10)[0] ?? [0, 0, 0];
  const [columns, rows] = [number(70, 1), number(71, 1)].map((n) => Math.min(Math.max(Math.floor(n) || 1, 1), 1000));
  return Array.from({ length: columns! * rows! }, (_, i) => {
    const [u, v] = [(i % columns!) * number(44, 0), Math.floor(i / columns!) * number(45, 0)];
    const to = inAxes([at[0] + c * u - s * v, at[1] + s * u + c * v, at[2]]);
    const moved = [0, 1, 2].map(
      (k) => to[k]! - axes[0][k]! * base[0] - axes[1][k]! * base[1] - axes[2][k]! * base[2],
    ) as unknown as Vec3;
    return (path) => mapped(path, axes, moved);
  });
}

import type { Vec3 } from '../../core/math/vec3';
import { pathOf } from './dxf-entities';
import { numberOf, placesOf, wordOf, type Entity } from './dxf-groups';
import { copiesOf, type Put } from './dxf-insert';
import type { BroughtPath } from './path-format';

/** Inserts within each other, and entities that copies of blocks have together, at the most. */
const DEEPEST = 16;
const MOST_COPIES = 50_000;

/** An entity with the VERTEX entities after it, where it is a POLYLINE. */
interface Item {
  readonly entity: Entity;
  readonly vertices: Entity[];
}

interface Block {
  readonly base: Vec3;
  readonly items: Item[];
}

/** Lines that may run on into each other. */
export interface Line {
  readonly name: string;
  readonly places: readonly [Vec3, Vec3];
}

/** Collects the lines of a drawing while its entities come; inserts draw what is in their blocks (DXF Reference, sections BLOCKS and ENTITIES). */
export class Drawing {
  readonly paths: BroughtPath[] = [];
  readonly lines: Line[] = [];
  /** Kinds of entities that are no lines, or whose numbers do not fit together. */
  readonly leftOut = new Set<string>();
  /** The groups of the header. */
  header: Entity | undefined;
  /** Points so far. */
  points = 0;
  #section = '';
  #copies = 0;
  #block: Block | undefined;
  #polyline: Item | undefined;
  readonly #blocks = new Map<string, Block>();

  take(entity: Entity): void {
    if (entity.type === 'VERTEX' && this.#polyline) {
      this.#polyline.vertices.push(entity);
      return;
    }
    this.finish();
    if (entity.type === 'SECTION') {
      this.#section = wordOf(entity, 2) ?? '';
      if (this.#section === 'HEADER') this.header = entity;
    } else if (entity.type === 'ENDSEC') this.#section = '';
    else if (this.#section === 'BLOCKS' && entity.type === 'BLOCK') {
      this.#block = { base: placesOf(entity, 10)[0] ?? [0, 0, 0], items: [] };
      this.#blocks.set(wordOf(entity, 2) ?? '', this.#block);
    } else if (entity.type === 'ENDBLK') this.#block = undefined;
    else if (entity.type === 'POLYLINE') this.#polyline = { entity, vertices: [] };
    else this.#put({ entity, vertices: [] });
  }

  /** What waited for more has all of it. */
  finish(): void {
    const waiting = this.#polyline;
    this.#polyline = undefined;
    if (waiting) this.#put(waiting);
  }

  #put(item: Item): void {
    if (this.#section === 'BLOCKS') this.#block?.items.push(item);
    else if (this.#section === 'ENTITIES') this.#draw(item, [], new Set());
  }

  /** `puts` = how the blocks around it are put, the innermost first. */
  #draw({ entity, vertices }: Item, puts: readonly Put[], open: ReadonlySet<Block>): void {
    if (open.size > 0 && ++this.#copies > MOST_COPIES) return void this.leftOut.add('INSERT');
    if (entity.type === 'SEQEND' || entity.type === 'ATTRIB') return;
    if (entity.type === 'INSERT') return this.#insert(entity, puts, open);
    const name = `${wordOf(entity, 8) || 'Path'} ${this.paths.length + this.lines.length + 1}`.slice(0, 200);
    const path = entity.type === 'LINE' ? lineOf(entity, name) : pathOf(entity, vertices, name);
    if (!path) return void this.leftOut.add(entity.type);
    const placed = puts.reduce((each, put) => put(each), path);
    this.points += placed.points.length;
    if (entity.type !== 'LINE') this.paths.push(placed);
    else this.lines.push({ name, places: [placed.points[0].position, placed.points[1].position] });
  }

  #insert(entity: Entity, puts: readonly Put[], open: ReadonlySet<Block>): void {
    const block = this.#blocks.get(wordOf(entity, 2) ?? '');
    if (!block || open.has(block) || open.size >= DEEPEST) return void this.leftOut.add('INSERT');
    const inside = new Set([...open, block]);
    for (const put of copiesOf(entity, block.base)) {
      if (this.#copies > MOST_COPIES) return;
      for (const item of block.items) this.#draw(item, [put, ...puts], inside);
    }
  }
}

function lineOf(entity: Entity, name: string): BroughtPath | undefined {
  const [from, to] = [placesOf(entity, 10)[0], placesOf(entity, 11)[0]];
  return from && to
    ? { name, kind: 'straight', closed: false, points: [{ position: from }, { position: to }] }
    : undefined;
}

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

/** Metres per unit; undefined where the header does not say. */
export function unitOf(header: Entity | undefined): number | undefined {
  const at = header?.groups.findIndex(({ code, value }) => code === 9 && value === '$INSUNITS') ?? -1;
  const after = at < 0 ? undefined : header!.groups[at + 1];
  return after && UNITS[numberOf({ type: '', groups: [after] }, 70)];
}

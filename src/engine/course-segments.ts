import { mapParts, partsOf, type CourseParts } from '../core/layout/course-parts';
import type { Image, Material, Mesh } from '../core/mesh/mesh';
import type { PreparedSegment } from '../core/segment/prepared-segment';
import type { ReadySegment } from './ready-segment';

/** The segments of one course, with one list of materials and images for all of them. */
export interface CoursePieces extends CourseParts<PreparedSegment> {
  readonly materials: readonly Material[];
  readonly images: readonly Image[];
  /** Changes exactly when materials or images do. */
  readonly key: string;
}

/** Segments whose materials stand behind those of others, by how many stand before. */
const behind = new WeakMap<PreparedSegment, Map<number, PreparedSegment>>();

export function coursePieces(readies: CourseParts<ReadySegment>): CoursePieces {
  const materials: Material[] = [];
  const images: Image[] = [];
  const known = new Map<PreparedSegment, PreparedSegment>();
  const add = ({ prepared }: ReadySegment): PreparedSegment => {
    const before = known.get(prepared);
    if (before) return before;
    const moved = movedBehind(prepared, materials.length);
    known.set(prepared, moved);
    const at = images.length;
    materials.push(...prepared.mesh.materials.map((material) => withImagesFrom(material, at)));
    images.push(...prepared.mesh.images);
    return moved;
  };
  const moved = mapParts(readies, add);
  const key = partsOf(readies).map((ready) => ready.key);
  return { ...moved, materials, images, key: key.join() };
}

const IMAGES = ['colourImage', 'normalImage', 'surfaceImage'] as const;

/** The material with its images so many places farther on. */
function withImagesFrom(material: Material, at: number): Material {
  const moved = IMAGES.flatMap((key) => (material[key] === undefined ? [] : [[key, material[key] + at]]));
  return { ...material, ...Object.fromEntries(moved) } as Material;
}

/** The same segment with the numbers of its materials moved up. */
function movedBehind(prepared: PreparedSegment, materials: number): PreparedSegment {
  if (materials === 0) return prepared;
  const made = behind.get(prepared) ?? new Map<number, PreparedSegment>();
  behind.set(prepared, made);
  const known = made.get(materials);
  if (known) return known;
  const move = (mesh: Mesh): Mesh => ({
    ...mesh,
    parts: mesh.parts.map((part) => ({
      ...part,
      material: part.material + materials,
      ...(part.coat && { coat: { ...part.coat, material: part.coat.material + materials } }),
    })),
  });
  const { cut } = prepared;
  const moved: PreparedSegment = {
    ...prepared,
    mesh: move(prepared.mesh),
    ...(cut && {
      cut: {
        ...(cut.head && { head: { ...cut.head, mesh: move(cut.head.mesh) } }),
        body: { ...cut.body, mesh: move(cut.body.mesh) },
        ...(cut.tail && { tail: { ...cut.tail, mesh: move(cut.tail.mesh) } }),
      },
    }),
  };
  made.set(materials, moved);
  return moved;
}

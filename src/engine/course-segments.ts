import type { CourseSegments } from '../core/layout/lay-course';
import type { Image, Material, Mesh } from '../core/mesh/mesh';
import type { PreparedSegment } from '../core/segment/prepared-segment';
import type { ReadySegment } from './ready-segment';

/** The segments of one course, with one list of materials and images for all of them. */
export interface CoursePieces extends CourseSegments {
  readonly materials: readonly Material[];
  readonly images: readonly Image[];
  /** Changes exactly when materials or images do. */
  readonly key: string;
}

/** Segments made ready, by what of a course they are; a segment may be several things. */
export interface ReadyPieces {
  readonly segment: ReadySegment;
  readonly others: readonly ReadySegment[];
  readonly head?: ReadySegment | undefined;
  readonly tail?: ReadySegment | undefined;
  readonly joint?: ReadySegment | undefined;
}

/** Segments whose materials stand behind those of others, by how many stand before. */
const behind = new WeakMap<PreparedSegment, Map<number, PreparedSegment>>();

export function coursePieces({ segment, others, head, tail, joint }: ReadyPieces): CoursePieces {
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
  const first = add(segment);
  return {
    segment: first,
    others: others.map(add),
    head: head && add(head),
    tail: tail && add(tail),
    joint: joint && add(joint),
    materials,
    images,
    key: [segment, ...others, head, tail, joint].map((ready) => ready?.key).join(),
  };
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
    parts: mesh.parts.map((part) => ({ ...part, material: part.material + materials })),
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

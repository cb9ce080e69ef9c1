import { z } from 'zod';
import type { Material } from '../mesh/mesh';
import { paint, toHex } from './colour';
import type { SectionPoint, Strip } from './extrude';
import { arcSteps, type Smoothness } from './smoothness';

/** A corner of a drawn outline and the edge from it to the next one. */
const sectionCornerSchema = z.strictObject({
  /** Metres to the right of the path and above it. */
  z: z.number().min(-1000).max(1000),
  y: z.number().min(-1000).max(1000),
  /** Bulge of the edge: tangent of a quarter of the arc's angle, 0 = straight; positive turns left as drawn. */
  bulge: z.number().min(-1).max(1).optional(),
  /** Place in the list of strips that the edge belongs to. */
  strip: z.number().int().min(0).max(63),
});

const sectionStripSchema = z.strictObject({
  name: z.string().trim().min(1).max(60),
  colour: z.string().regex(/^#[0-9a-f]{6}$/),
  roughness: z.number().min(0).max(1),
  metalness: z.number().min(0).max(1),
});

export const crossSectionShape = {
  corners: z.array(sectionCornerSchema).min(2).max(400).readonly(),
  strips: z.array(sectionStripSchema).min(1).max(64).readonly(),
  /** The corners are the right half, from the top down; the left half mirrors it. */
  mirrored: z.boolean(),
  /** A solid bar; otherwise a sheet that is seen from both sides. */
  closed: z.boolean(),
};

export interface CrossSection {
  readonly corners: readonly z.infer<typeof sectionCornerSchema>[];
  readonly strips: readonly z.infer<typeof sectionStripSchema>[];
  readonly mirrored: boolean;
  readonly closed: boolean;
}

export type SectionCorner = CrossSection['corners'][number];

/** The whole outline with arcs as short edges, running clockwise seen along forward where it is closed. */
export function toOutline(section: CrossSection, smoothness: Smoothness): { outline: SectionPoint[]; strips: Strip[] } {
  const { closed } = section;
  let corners: readonly SectionCorner[] = section.mirrored ? mirrorHalf(section) : section.corners;
  if (closed && signedArea(corners) > 0) corners = turnRound(corners);
  const outline: SectionPoint[] = [];
  const strips: Strip[] = [];
  corners.forEach((from, i) => {
    const isLast = i + 1 === corners.length;
    outline.push([from.z, from.y]);
    if (isLast && !closed) return;
    const to = corners[(i + 1) % corners.length];
    const strip = {
      part: section.strips[from.strip]?.name ?? 'Edge',
      material: Math.min(from.strip, section.strips.length - 1),
    };
    const between = arcBetween(from, to, smoothness);
    for (const point of between) {
      strips.push({ ...strip, smoothToNext: true });
      outline.push(point);
    }
    strips.push(strip);
  });
  return { outline, strips };
}

export const stripMaterials = (section: CrossSection): readonly Material[] =>
  section.strips.map(({ name, colour, roughness, metalness }) => ({
    ...paint(name, colour, roughness, metalness),
    doubleSided: !section.closed,
  }));

/** A closed outline with its strips as one that can be drawn on; each part becomes a strip in its material's colour. */
export function toSection(
  outline: readonly SectionPoint[],
  strips: readonly Strip[],
  materials: readonly Material[],
): CrossSection {
  const parts = [...new Set(strips.map(({ part }) => part))];
  const worn = (part: string) => strips.find((strip) => strip.part === part)!.material;
  return {
    corners: outline.map(([z, y], i) => ({ z, y, strip: parts.indexOf(strips[i].part) })),
    strips: parts.map((name) => {
      const place = worn(name);
      const { colour, roughness, metalness } = materials[typeof place === 'number' ? place : place[0]];
      return { name, colour: toHex(colour), roughness, metalness };
    }),
    mirrored: false,
    closed: true,
  };
}

/** Points strictly between the ends of an edge with a bulge. */
function arcBetween(from: SectionCorner, to: SectionCorner, smoothness: Smoothness): SectionPoint[] {
  const bulge = from.bulge ?? 0;
  if (bulge === 0) return [];
  const [dz, dy] = [to.z - from.z, to.y - from.y];
  const chord = Math.hypot(dz, dy);
  const angle = 4 * Math.atan(bulge);
  const radius = Math.abs(chord / (2 * Math.sin(angle / 2)));
  const steps = arcSteps(radius, angle, smoothness, 2);
  // Centre from the middle of the chord: to its left for a positive bulge.
  const k = (1 - bulge * bulge) / (4 * bulge);
  const [cz, cy] = [(from.z + to.z) / 2 - dy * k, (from.y + to.y) / 2 + dz * k];
  return Array.from({ length: steps - 1 }, (_, i): SectionPoint => {
    const turn = (angle * (i + 1)) / steps;
    const [c, s] = [Math.cos(turn), Math.sin(turn)];
    const [z, y] = [from.z - cz, from.y - cy];
    return [cz + z * c - y * s, cy + z * s + y * c];
  });
}

/** The left half of a mirrored outline from the bottom up, then the right one; corners on the middle line are there once. */
function mirrorHalf({ corners, closed }: CrossSection): SectionCorner[] {
  const isMiddle = ({ z }: SectionCorner) => Math.abs(z) < 1e-9;
  const last = corners.length - 1;
  // The edge into a corner, run backwards and mirrored: both turn an arc's sign, so that it stays.
  const left = corners.map(({ z, y }, i) => ({ ...corners[Math.max(i - 1, 0)], z: -z, y }));
  const right = corners.map((corner) => ({ ...corner }));
  if (!closed) return [...left.slice(isMiddle(corners[0]) ? 1 : 0).reverse(), ...right];
  if (isMiddle(corners[last])) right[last] = { ...left[last], z: 0 };
  return [...left.slice(isMiddle(corners[0]) ? 1 : 0, isMiddle(corners[last]) ? last : undefined).reverse(), ...right];
}

function turnRound(corners: readonly SectionCorner[]): SectionCorner[] {
  const n = corners.length;
  return corners.map((_, i) => {
    const corner = corners[n - 1 - i];
    const edge = corners[(2 * n - 2 - i) % n];
    return { z: corner.z, y: corner.y, strip: edge.strip, ...(edge.bulge !== undefined && { bulge: -edge.bulge }) };
  });
}

/** Positive when the outline runs from z (right) to y (up): counter-clockwise seen along forward with right to the right. */
function signedArea(corners: readonly SectionCorner[]): number {
  return corners.reduce((sum, { z, y }, i) => {
    const next = corners[(i + 1) % corners.length];
    return sum + (z * next.y - next.z * y) / 2;
  }, 0);
}

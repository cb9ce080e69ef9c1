import type { CrossSection, SectionCorner } from './cross-section';

export const changeCorner = (section: CrossSection, at: number, change: Partial<SectionCorner>): CrossSection => ({
  ...section,
  corners: section.corners.map((corner, i) => (i === at ? { ...corner, ...change } : corner)),
});

/** Moves a corner; a mirrored outline stays on its right-hand side. */
export const moveCorner = (section: CrossSection, at: number, z: number, y: number): CrossSection =>
  changeCorner(section, at, { z: section.mirrored ? Math.max(z, 0) : z, y });

/** Puts a corner into the edge after corner `edge`, which becomes two straight ones. */
export function insertCorner(section: CrossSection, edge: number, z: number, y: number): CrossSection {
  const { strip } = section.corners[edge];
  const corners = section.corners.map((corner, i) => (i === edge ? { z: corner.z, y: corner.y, strip } : corner));
  return { ...section, corners: [...corners.slice(0, edge + 1), { z, y, strip }, ...corners.slice(edge + 1)] };
}

/** Takes a corner away, as long as an outline is left. */
export function deleteCorner(section: CrossSection, at: number): CrossSection {
  const least = section.closed && !section.mirrored ? 3 : 2;
  if (section.corners.length <= least) return section;
  return { ...section, corners: section.corners.filter((_, i) => i !== at) };
}

/** Edges that can be told apart: one after each corner, but for the last of an open or mirrored outline. */
export const edgeCount = ({ corners, closed, mirrored }: CrossSection): number =>
  closed && !mirrored ? corners.length : corners.length - 1;

/** Adds a strip and returns its place. */
export function addStrip(section: CrossSection): { section: CrossSection; strip: number } {
  const strip = section.strips.length;
  const last = section.strips[strip - 1];
  return { section: { ...section, strips: [...section.strips, { ...last, name: `Strip ${strip + 1}` }] }, strip };
}

/** Takes a strip away; its edges go to the one before it. */
export function deleteStrip(section: CrossSection, at: number): CrossSection {
  if (section.strips.length < 2) return section;
  return {
    ...section,
    strips: section.strips.filter((_, i) => i !== at),
    corners: section.corners.map((corner) => ({
      ...corner,
      strip: corner.strip > at || (corner.strip === at && at > 0) ? corner.strip - 1 : corner.strip,
    })),
  };
}

import { z } from 'zod';
import { MeshBuilder } from '../../mesh/mesh-builder';
import { crossSectionShape, stripMaterials, toOutline, type CrossSection } from '../cross-section';
import { defineMaker } from '../maker';
import { revolveProfile, type ProfilePoint } from '../shapes/revolve';
import { circleSides, SMOOTHNESS_FIELDS, smoothnessShape } from '../smoothness';

const schema = z.strictObject({
  kind: z.literal('turnedProfile'),
  /** Corners along the axis (z) and away from it (y), metres. */
  corners: crossSectionShape.corners.refine((corners) => corners.every(({ y }) => y >= 0), 'below the axis'),
  strips: crossSectionShape.strips,
  /** A flat end closes each end that is not on the axis. */
  flatEnds: z.boolean(),
  ...smoothnessShape,
});
type ProfileSpec = z.infer<typeof schema>;

/** The profile as an outline that the editor draws. */
export const profileSection = ({ corners, strips }: Pick<ProfileSpec, 'corners' | 'strips'>): CrossSection => ({
  corners,
  strips,
  mirrored: false,
  closed: false,
});

/** A profile drawn by hand and turned about the path: bottles, nozzles, plugs, turned posts. */
export const turnedProfile = defineMaker({
  kind: 'turnedProfile',
  label: 'Own turned profile',
  hint: 'A profile that you draw, turned about the path',
  group: 'ropes',
  schema,
  defaults: {
    kind: 'turnedProfile',
    corners: [
      { z: 0, y: 0.05, strip: 0 },
      { z: 0.12, y: 0.05, bulge: -0.3, strip: 1 },
      { z: 0.24, y: 0.05, strip: 0 },
      { z: 0.7, y: 0.035, strip: 1 },
      { z: 0.74, y: 0.05, strip: 1 },
      { z: 0.8, y: 0.05, strip: 1 },
    ],
    strips: [
      { name: 'Body', colour: '#4a5557', roughness: 0.6, metalness: 0 },
      { name: 'Collar', colour: '#b08a4e', roughness: 0.32, metalness: 1 },
    ],
    flatEnds: true,
    smooth: 0.0005,
    detail: 'fine',
  },
  fields: [{ input: 'switch', key: 'flatEnds', label: 'Flat ends' }, ...SMOOTHNESS_FIELDS],
  make(spec) {
    const section = profileSection(spec);
    const { outline, strips } = toOutline(section, spec);
    const start = Math.min(...outline.map(([x]) => x));
    const widest = Math.max(...outline.map(([, r]) => r));
    const profile = outline.map(([x, r], i): ProfilePoint => ({
      x: x - start,
      r: Math.max(r, 0),
      isEdge: !strips[i - 1]?.smoothToNext,
    }));
    const wear = strips.map(({ part, material }) => ({ part, material: Number(material) }));
    const [first, last] = [profile[0], profile.at(-1)!];
    if (spec.flatEnds && first.r > 0) {
      profile.unshift({ x: first.x, r: 0, isEdge: true });
      wear.unshift(wear[0]);
    }
    if (spec.flatEnds && last.r > 0) {
      profile.push({ x: last.x, r: 0, isEdge: true });
      wear.push(wear.at(-1)!);
    }
    const builder = new MeshBuilder(stripMaterials({ ...section, closed: spec.flatEnds }));
    revolveProfile(builder, wear[0], profile, circleSides(widest, spec), (leg) => wear[leg]);
    return builder.build();
  },
  problem(spec) {
    const { outline } = toOutline(profileSection(spec), spec); // arcs may reach beyond the corners
    const long = Math.max(...outline.map(([x]) => x)) - Math.min(...outline.map(([x]) => x));
    const wide = Math.max(...outline.map(([, r]) => r));
    return long > 1e-6 && wide > 1e-6 ? undefined : { code: 'profile.flat', path: [], facts: { long, wide } };
  },
});

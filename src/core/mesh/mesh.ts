import type { MaskSpec } from './mask-registry';

/** An image as its file's bytes. */
export interface Image {
  readonly name: string;
  readonly mime: 'image/png' | 'image/jpeg' | 'image/webp';
  readonly bytes: Uint8Array;
}

/** A metallic-roughness material as in glTF 2.0. Colours linear, 0 to 1; image fields are places in the mesh's images. */
export interface Material {
  readonly name: string;
  /** Linear red, green, blue, opacity. */
  readonly colour: readonly [number, number, number, number];
  readonly roughness: number;
  readonly metalness: number;
  readonly emissive: readonly [number, number, number];
  readonly doubleSided: boolean;
  readonly alpha: 'opaque' | 'mask' | 'blend';
  /** It lies on what another material wears: see `Part.isCoat`. */
  readonly isCoat?: boolean;
  readonly colourImage?: number;
  readonly normalImage?: number;
  /** Roughness in green, metalness in blue. */
  readonly surfaceImage?: number;
  /** Strength of the normal image; absent = 1. */
  readonly normalScale?: number;
  /** How texture coordinates become places in the images: offset + turned by `turn` radians (scale * uv), as KHR_texture_transform. */
  readonly textureTransform?: TextureTransform;
}

export interface TextureTransform {
  readonly scale: readonly [number, number];
  readonly turn: number;
  readonly offset: readonly [number, number];
}

/** A stretch of the index list that wears one material. */
export interface Part {
  readonly name: string;
  readonly material: number;
  /** Indices, not triangles; both are multiples of three. */
  readonly start: number;
  readonly count: number;
  /** What lies over it here and there: a material, and where. */
  readonly coat?: Coat;
  /** It is a coat: its triangles are those of another part, and opacities of vertices count. */
  readonly isCoat?: boolean;
  /** Texture coordinates go on along the run from piece to piece, instead of starting again. */
  readonly runsOn?: boolean;
}

/** A second material over a part. */
export interface Coat {
  readonly material: number;
  readonly mask: MaskSpec;
}

/** A triangle mesh. Triangles are counter-clockwise seen from outside; metres; texture coordinates as in glTF (v down). */
export interface Mesh {
  /** xyz per vertex. */
  readonly positions: Float32Array;
  /** Unit xyz per vertex. */
  readonly normals: Float32Array;
  /** uv per vertex. */
  readonly uvs: Float32Array;
  /** Linear red, green, blue, opacity per vertex, times the material's colour; absent = white. */
  readonly colours?: Float32Array;
  readonly indices: Uint32Array;
  readonly parts: readonly Part[];
  readonly materials: readonly Material[];
  readonly images: readonly Image[];
}

export const PLAIN_MATERIAL: Material = {
  name: 'Plain',
  colour: [0.6, 0.58, 0.54, 1],
  roughness: 0.8,
  metalness: 0,
  emissive: [0, 0, 0],
  doubleSided: false,
  alpha: 'opaque',
};

export const vertexCount = (mesh: Pick<Mesh, 'positions'>): number => mesh.positions.length / 3;
export const triangleCount = (mesh: Pick<Mesh, 'indices'>): number => mesh.indices.length / 3;

import type { CoatManner } from '../core/bending/lift-coats';
import { eachAttribute } from '../core/mesh/attributes';
import type { Vec3 } from '../core/math/vec3';
import type { Mesh } from '../core/mesh/mesh';
import type { OnProgress } from '../core/math/progress';
import type { Moves } from './moves';
import type { Result } from '../core/math/result';

/** A file's name and bytes. */
export interface NamedBytes {
  readonly name: string;
  readonly bytes: Uint8Array;
}

/** One object of a scene: a run's name and its mesh in metres, y up. */
export interface NamedMesh {
  readonly name: string;
  readonly mesh: Mesh;
  /** Where the mesh's own origin lies, metres; absent = at the scene's. */
  readonly origin?: Vec3;
  /** Where the mesh stands, again and again: matrices by columns, 16 numbers each, counted from the origin. Absent = once. */
  readonly places?: Float64Array;
  /** How it moves, in formats that can; absent = it does not. */
  readonly moves?: Moves;
}

/** Throws where a number of a scene is none: no such file is ever written. */
export function refuseNaN(scene: readonly NamedMesh[]): void {
  for (const { name, mesh } of scene) {
    eachAttribute(mesh, (values) => {
      const at = values.findIndex((v) => !Number.isFinite(v));
      if (at >= 0) throw new RangeError(`refuseNaN: ${name} holds ${values[at]} at place ${at}`);
    });
  }
}

/** How pieces that keep their shape are written: each for itself, as nodes with one mesh, or as one node with many places. */
export const REPEATED = ['plain', 'nodes', 'gpu'] as const;
export type Repeated = (typeof REPEATED)[number];

/** A mesh file format; adding one is a file and a line in `index.ts`. */
export interface MeshFormat<K extends string = string> {
  readonly kind: K;
  readonly label: string;
  /** Lower case, without the dot; the first is the one that is written. */
  readonly extensions: readonly string[];
  readonly mime: string;
  /** Places are 32-bit numbers from the scene's origin: far from it they are coarse. */
  readonly isCoarseFar?: boolean;
  /** A mesh may stand at many places without being written again and again. */
  readonly repeats?: boolean;
  /** How it holds what lies over a surface here and there; absent = not at all. */
  readonly coats?: CoatManner;
  /** What travels: shown beside the choice when exporting. */
  readonly carries: string;
  /** Whether these bytes are of this format, whatever the name says; absent for formats that are only written. */
  sniff?(bytes: Uint8Array): boolean;
  /** `files[0]` is the file itself, the rest lay beside it. All meshes are merged into one, by part. */
  read?(files: readonly NamedBytes[], onProgress?: OnProgress): Promise<Result<Mesh>>;
  /** The first file is the main one and is called `name` with the format's extension. */
  write?(
    scene: readonly NamedMesh[],
    name: string,
    onProgress?: OnProgress,
    repeated?: Repeated,
  ): Promise<readonly NamedBytes[]>;
}

export const defineFormat = <K extends string>(format: MeshFormat<K>): MeshFormat<K> => format;

/** Largest mesh that is read. */
export const MAX_TRIANGLES = 4_000_000;
/** Largest mesh file that is read, bytes. */
export const MAX_FILE_BYTES = 512 * 1024 * 1024;

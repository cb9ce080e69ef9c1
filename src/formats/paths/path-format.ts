import type { PathPoint } from '../../core/curve/path-spec';
import type { CurveSpec } from '../../core/curve/registry';
import type { OnProgress } from '../../core/math/progress';
import type { Result } from '../../core/math/result';
import type { NamedBytes } from '../format';
import { decodeText } from '../text';

/** A line found in a file, in the file's units and axes. */
export interface BroughtPath {
  readonly name: string;
  readonly kind: Extract<CurveSpec['kind'], 'straight' | 'handles'>;
  readonly closed: boolean;
  readonly points: readonly PathPoint[];
}

/** All lines of a file, and what it says of itself. */
export interface BroughtPaths {
  readonly paths: readonly BroughtPath[];
  /** Metres per unit; absent = the file does not say, and people are asked. */
  readonly unit?: number;
  /** The third coordinate is nothing: x to the right, y up in the drawing's plane. */
  readonly isFlat: boolean;
  /** Which axis is up; absent = not said. */
  readonly up?: 'y' | 'z';
  /** What was done to it that people should know. */
  readonly note?: string;
}

/** Reads the lines of a file. Problems: those of the format, and `paths.none`. */
export type ReadPaths = (
  file: NamedBytes,
  onProgress?: OnProgress,
) => Promise<Result<BroughtPaths>> | Result<BroughtPaths>;

/** A way to read paths, whose code is loaded when it is needed; adding one is a file here and a line in the list. */
export interface PathReader<K extends string = string> {
  readonly kind: K;
  readonly label: string;
  readonly extensions: readonly string[];
  load(): Promise<ReadPaths>;
}

export interface NamedCurve {
  readonly name: string;
  readonly curve: CurveSpec;
}

/** A way to write one path. */
export interface PathWriter<K extends string = string> {
  readonly kind: K;
  readonly label: string;
  readonly hint: string;
  /** Undefined where the path is no curve yet. */
  write(path: NamedCurve): Promise<NamedBytes | undefined>;
}

export const textOf = ({ bytes }: NamedBytes): string => decodeText(bytes);

import { frameName, frameTime, type FrameRange } from '../core/motion/frame-range';
import { ok, type Result } from '../core/math/result';
import type { NamedBytes } from '../formats/format';
import type { Project } from '../project/schema';
import { bakeFiles, type BakeOptions } from './bake';
import type { Deriver } from './derive';

/** The files of one frame. Problems: those of `bakeFiles`; a frame in which nothing is there yet is a file all the same. */
export async function bakeFrame(
  project: Project,
  deriver: Deriver,
  { extension, name, range }: { readonly extension: string; readonly name: string; readonly range: FrameRange },
  frame: number,
  options: Omit<BakeOptions, 'time'>,
): Promise<Result<readonly NamedBytes[]>> {
  const own = { ...options, time: frameTime(range, frame), mayBeEmpty: true };
  const baked = await bakeFiles(project, deriver, extension, frameName(name, frame, range), own);
  return baked.ok ? ok(baked.value.files, baked.warnings) : baked;
}

import { bakeMoving } from '../src/engine/bake-moving';
import type { BakeArguments } from './arguments';
import { say, tell } from './say';
import type { Opened } from './sequence';
import { writeFiles } from './write-files';

/** One GLB that moves; says how far it is off. */
export async function bakeOneMoving(
  { project: file, range: asked, moving, run, guides }: BakeArguments,
  { project, deriver, target, name }: Opened,
): Promise<number> {
  const range = { framesPerSecond: project.time.framesPerSecond, ...asked! };
  const baked = await bakeMoving(project, deriver, name, { ...moving!, range, run, guides });
  if (!baked.ok) return tell(file, baked.problems);
  tell(file, baked.warnings);
  await writeFiles(baked.value.files, target);
  const { off, joints, shapes } = baked.value.facts;
  say(`rattan: ${file}: ${joints} joints, ${shapes} shapes; off by up to ${Number((off * 1000).toPrecision(3))} mm.`);
  return 0;
}

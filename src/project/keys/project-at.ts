import { keyedValue } from '../../core/motion/keys';
import { ITEM_SCHEMAS, projectSchema, type Project } from '../schema';
import { nodeAt, putAt, type Address } from './address';
import { fitted, leafSchema } from './leaf-schema';

/** The project as it is at `moment` seconds, null = when all of the time is over: what has keys has the value that they say. The same project where nothing has. */
export function projectAt(project: Project, moment: number | null): Project {
  let shown = project;
  for (const { of, keys } of project.keyed) {
    const leaf = leafSchema(projectSchema, project, of);
    const value = leaf && fitted(leaf, keyedValue(keys, moment ?? Infinity));
    if (value !== undefined) shown = soundAt(shown, putAt(shown, of, value), of);
  }
  return shown;
}

/** Values that make sense each for itself may make none together; then the last one stays away. Points of a path say nothing of each other. */
function soundAt(before: Project, after: Project, [root, id]: Address): Project {
  const schema = root in ITEM_SCHEMAS ? ITEM_SCHEMAS[root as keyof typeof ITEM_SCHEMAS] : undefined;
  return !schema || schema.safeParse(nodeAt(after, [root, id])).success ? after : before;
}

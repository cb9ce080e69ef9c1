import { toVersion2 } from './002';
import { toVersion3 } from './003';
import { toVersion4 } from './004';
import { toVersion5 } from './005';

/** Steps from one version of the project file to the next: `steps[n]` makes version n + 1 out of version n. */
const steps: Readonly<Record<number, (file: unknown) => unknown>> = {
  1: toVersion2,
  2: toVersion3,
  3: toVersion4,
  4: toVersion5,
};

/** The file as the current version would have written it. */
export function upgrade(file: unknown, version: number): unknown {
  let current = file;
  for (let v = version; steps[v]; v++) current = steps[v](current);
  return current;
}

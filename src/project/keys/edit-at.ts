import { isKeyValue, keyAt, withKey, type Key } from '../../core/motion/keys';
import type { Keyed, Project } from '../schema';
import { childOf, isNode, isSameAddress, knownBy, nodeAt, putAt, type Address } from './address';
import { projectAt } from './project-at';

/**
 * The project changed as it is at a moment (null = when all of the time is over): what of the change falls on values with keys becomes a key there, all
 * else is so at all times. Keys go along with points that are moved up or down their list, and go with what they belong to.
 */
export function editAt(project: Project, moment: number | null, change: (shown: Project) => Project): Project {
  const shown = projectAt(project, moment);
  const next = change(shown);
  if (next === shown) return project;
  let made = next;
  const keyed = next.keyed.flatMap((own): Keyed[] => {
    const of = addressAfter(own.of, shown, next);
    if (!of) return [];
    const known = project.keyed.some((old) => isSameAddress(old.of, own.of));
    const [before, now] = [nodeAt(shown, own.of), nodeAt(next, of)];
    if (!known || now === undefined) return [{ ...own, of }];
    if (!isKeyValue(now)) return [];
    made = putAt(made, of, nodeAt(project, own.of));
    if (JSON.stringify(before) === JSON.stringify(now)) return [{ ...own, of }];
    const at = moment ?? Math.max(next.time.seconds, own.keys.at(-1)!.at);
    const easing = keyAt(own.keys, at)?.easing ?? easingBefore(own.keys, at);
    return [{ of, keys: withKey(own.keys, { at, value: now, easing }) }];
  });
  const isSame = keyed.length === next.keyed.length && keyed.every((own, i) => isSameKeyed(own, next.keyed[i]));
  return isSame ? made : { ...made, keyed };
}

const isSameKeyed = (a: Keyed, b: Keyed): boolean => a.keys === b.keys && isSameAddress(a.of, b.of);

/** A key between two others goes on as the one before it. */
const easingBefore = (keys: readonly Key[], moment: number): Key['easing'] =>
  keys.findLast(({ at }) => at < moment)?.easing ?? { kind: 'steady' };

/** Where that stands after a change which stood at an address before it; undefined = it is gone. */
function addressAfter(address: Address, before: Project, after: Project): Address | undefined {
  const steps: string[] = [];
  let [old, now]: unknown[] = [before, after];
  for (const step of address) {
    let own = step;
    if (Array.isArray(old) && Array.isArray(now)) {
      const found = placeAfter(step, old, now);
      if (found === undefined) return undefined;
      own = found;
    }
    steps.push(own);
    [old, now] = [childOf(old, step), childOf(now, own)];
  }
  return steps;
}

/** Things with names keep them; others are found by being the same, or at the same place, and else stand where they stood if as many are there. */
function placeAfter(step: string, old: readonly unknown[], now: readonly unknown[]): string | undefined {
  const was = childOf(old, step);
  if (knownBy(was) !== undefined) return childOf(now, step) === undefined ? undefined : step;
  if (now[Number(step)] === was) return step;
  const same = now.findIndex((own) => own === was || (isNode(own) && isNode(was) && isAtPlace(own, was)));
  if (same >= 0) return String(same);
  return now.length === old.length ? step : undefined;
}

const isAtPlace = (a: unknown, b: unknown): boolean => {
  const [p, q] = [childOf(a, 'position'), childOf(b, 'position')];
  return p !== undefined && JSON.stringify(p) === JSON.stringify(q);
};

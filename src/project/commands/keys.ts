import type { EasingSpec } from '../../core/motion/easing-registry';
import { isKeyValue, withKey, type Key, type KeyValue } from '../../core/motion/keys';
import { MOST_SECONDS } from '../../core/motion/time-spec';
import { addressKey, isSameAddress, nodeAt, type Address } from '../keys/address';
import { fitted, leafSchema } from '../keys/leaf-schema';
import { projectSchema, type Keyed, type Project } from '../schema';

/** One key: whose, and when, seconds. */
export interface KeyPlace {
  readonly of: Address;
  readonly at: number;
}

/** Keys of one value, apart from where they stood. */
export type CopiedKeys = Keyed;

export const keysOf = (project: Pick<Project, 'keyed'>, of: Address): readonly Key[] =>
  project.keyed.find((own) => isSameAddress(own.of, of))?.keys ?? [];

/** The keys of one value changed; without any it has the value that it has just now. */
function changeKeys(project: Project, of: Address, change: (keys: readonly Key[]) => readonly Key[]): Project {
  const old = keysOf(project, of);
  const keys = change(old);
  if (keys === old) return project;
  const isOwn = (own: Keyed) => isSameAddress(own.of, of);
  if (keys.length === 0) return { ...project, keyed: project.keyed.filter((own) => !isOwn(own)) };
  if (old.length === 0) return { ...project, keyed: [...project.keyed, { of, keys }] };
  return { ...project, keyed: project.keyed.map((own) => (isOwn(own) ? { of, keys } : own)) };
}

/** Sets a key at a time, by what the value is just now or by another one; the same project where no such value can have keys. */
export function setKey(project: Project, of: Address, at: number, value: unknown = nodeAt(project, of)): Project {
  const leaf = leafSchema(projectSchema, project, of);
  const sound = leaf && isKeyValue(value) ? fitted(leaf, value) : undefined;
  if (sound === undefined || at < 0 || at > MOST_SECONDS) return project;
  return changeKeys(project, of, (keys) => {
    const easing = keys.findLast((key) => key.at <= at)?.easing ?? { kind: 'steady' as const };
    return withKey(keys, { at, value: sound, easing });
  });
}

const isAmong = (places: readonly KeyPlace[], of: Address, at: number): boolean =>
  places.some((place) => place.at === at && isSameAddress(place.of, of));

const lanesOf = (places: readonly KeyPlace[]): readonly Address[] => [
  ...new Map(places.map(({ of }) => [addressKey(of), of])).values(),
];

export const deleteKeys = (project: Project, chosen: readonly KeyPlace[]): Project =>
  lanesOf(chosen).reduce(
    (made, of) => changeKeys(made, of, (keys) => keys.filter(({ at }) => !isAmong(chosen, of, at))),
    project,
  );

/** The chosen keys earlier or later, none before the start; those that they come to lie on go. Says where they are then. */
export function moveKeys(
  project: Project,
  chosen: readonly KeyPlace[],
  seconds: number,
): { readonly project: Project; readonly chosen: readonly KeyPlace[] } {
  const times = chosen.map(({ at }) => at);
  const by = Math.min(Math.max(seconds, -Math.min(...times)), MOST_SECONDS - Math.max(...times));
  // Times stay those of frames: what is moved there and back is where it was.
  const moved = (at: number) => Number((at + by).toFixed(9));
  const made = lanesOf(chosen).reduce(
    (all, of) =>
      changeKeys(all, of, (keys) => {
        const [own, others] = [true, false].map((is) => keys.filter(({ at }) => isAmong(chosen, of, at) === is));
        return own.reduce<readonly Key[]>((kept, key) => withKey(kept, { ...key, at: moved(key.at) }), others);
      }),
    project,
  );
  return { project: made, chosen: chosen.map(({ of, at }) => ({ of, at: moved(at) })) };
}

/** Another value or easing of one key. */
export const changeKey = (
  project: Project,
  { of, at }: KeyPlace,
  change: { readonly value?: KeyValue; readonly easing?: EasingSpec },
): Project => {
  const leaf = leafSchema(projectSchema, project, of);
  const value = change.value === undefined || !leaf ? undefined : fitted(leaf, change.value);
  return changeKeys(project, of, (keys) =>
    keys.map((key) =>
      key.at === at
        ? { ...key, ...(value !== undefined && { value }), ...(change.easing && { easing: change.easing }) }
        : key,
    ),
  );
};

export const copyKeys = (project: Project, chosen: readonly KeyPlace[]): readonly CopiedKeys[] =>
  lanesOf(chosen).map((of) => ({ of, keys: keysOf(project, of).filter(({ at }) => isAmong(chosen, of, at)) }));

/** Copied keys again, the first of them at a time. Says where they are then. */
export function pasteKeys(
  project: Project,
  copied: readonly CopiedKeys[],
  at: number,
): { readonly project: Project; readonly chosen: readonly KeyPlace[] } {
  const first = Math.min(...copied.flatMap(({ keys }) => keys.map((key) => key.at)));
  const placed = copied.map(({ of, keys }) => ({
    of,
    keys: keys.map((key) => ({ ...key, at: Number((key.at - first + at).toFixed(9)) })),
  }));
  const fits = placed.filter(({ of, keys }) => keysOf(project, of).length > 0 && keys.at(-1)!.at <= MOST_SECONDS);
  return {
    project: fits.reduce((made, { of, keys }) => changeKeys(made, of, (old) => keys.reduce(withKey, old)), project),
    chosen: fits.flatMap(({ of, keys }) => keys.map((key) => ({ of, at: key.at }))),
  };
}

/** What is a copy of a run, path, segment or guide moves as that does. */
export function withKeysOf(
  project: Project,
  root: 'runs' | 'paths' | 'segments' | 'guides',
  from: string,
  to: string,
): Project {
  const copies = project.keyed.flatMap(({ of, keys }): Keyed[] =>
    of[0] === root && of[1] === from ? [{ of: [root, to, ...of.slice(2)], keys }] : [],
  );
  return copies.length > 0 ? { ...project, keyed: [...project.keyed, ...copies] } : project;
}

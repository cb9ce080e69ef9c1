import { MAKER_GROUPS } from '../core/segment/maker';
import { MAKERS, type MakerName } from '../core/segment/registry';
import type { Kit } from './commands/kits';
import type { Project } from './schema';
import { sets } from './sets';
import type { SetParts } from './sets/run-set';
import { partsOfMaker, projectOfParts } from './sets/run-of-parts';

/** What can be added: its words, what its picture shows, and how it is asked for. */
export interface Addable {
  readonly key: string;
  readonly label: string;
  readonly hint: string;
  readonly group: string;
  readonly project: Project;
  readonly of: { readonly set: keyof typeof sets } | { readonly maker: MakerName } | { readonly kit: Kit };
}

const READY: readonly Addable[] = Object.values(sets).map((set) => ({
  ...{ key: `set ${set.kind}`, label: set.label, hint: set.hint, group: 'Ready sets', of: { set: set.kind } },
  project: projectOfParts(set.label, set.parts((name) => name)), // prettier-ignore
}));

/** One piece as it is made: what dresses others is shown so. */
const oneOf = ({ segments, courses }: SetParts): SetParts => {
  const laying = { ...courses[0].laying, rule: { kind: 'byCount', count: 1, over: 'own', gap: 0 } } as const;
  return { segments, courses: [{ ...courses[0], laying, fit: { kind: 'stiff', stands: 'plumb', byLeg: false } }] };
};

const MADE: readonly Addable[] = Object.entries(MAKER_GROUPS).flatMap(([group, title]) =>
  MAKERS.filter((own) => own.group === group).map(({ kind, label, hint, dresses }) => ({
    ...{ key: `maker ${kind}`, label, hint, group: title, of: { maker: kind } },
    project: projectOfParts(label, dresses ? oneOf(partsOfMaker(kind, 'segment')) : partsOfMaker(kind, 'segment')),
  })),
);

const kept = (kit: Kit): Addable => ({
  ...{ key: `kit ${kit.id} ${kit.changedAt}`, label: kit.project.name, hint: 'A kit of yours', group: 'Kits' },
  ...{ project: kit.project, of: { kit } },
});

/** All of it that the typed words are in, in the order in which people are shown it. */
export function addables(kits: readonly Kit[], typed: string): readonly Addable[] {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  const all = [...kits.map(kept), ...READY, ...MADE];
  const has = ({ label, hint, group }: Addable, word: string) => `${label} ${hint} ${group}`.toLowerCase().includes(word); // prettier-ignore
  return all.filter((own) => words.every((word) => has(own, word)));
}

import { MAKER_GROUPS } from '../../core/segment/maker';
import { MAKERS, maker, pitchGap } from '../../core/segment/registry';
import type { MakerName } from '../../core/segment/registry';
import { COURSE_DEFAULTS, JOB_DEFAULTS, MADE_PREPARE, makerDefaults, newCourse } from '../../project/defaults';
import type { Kit } from '../../project/commands/kits';
import { emptyProject, type Project } from '../../project/schema';
import { sets } from '../../project/sets';
import type { SetParts } from '../../project/sets/run-set';

/** What can be added: its words, what its picture shows, and how it is asked for. */
export interface Addable {
  readonly key: string;
  readonly label: string;
  readonly hint: string;
  readonly group: string;
  readonly project: Project;
  readonly of: { readonly set: keyof typeof sets } | { readonly maker: MakerName } | { readonly kit: Kit };
}

/** A project of one run with these parts; without a curve of theirs its path is to be filled in by who draws it. */
export const showing = (name: string, { segments, courses, curve, frames }: SetParts): Project => ({
  ...emptyProject(name),
  segments: [...segments],
  paths: [{ id: 'path', name, curve: curve ?? { kind: 'smooth', closed: false, points: [] } }],
  runs: [
    {
      ...{ id: 'run', name, visible: true, path: 'path', ...JOB_DEFAULTS, courses: [...courses] },
      shape: { ...JOB_DEFAULTS.shape, ...(frames && { frames }) },
    },
  ],
});

/** A maker's segment, and one course of it. */
export function partsOfMaker(kind: MakerName, id: string): SetParts {
  const spec = makerDefaults(kind);
  const rule = { kind: 'fillStretch', gap: pitchGap(spec) ?? 0 } as const;
  return {
    segments: [{ id, name: maker(kind).label, source: { from: 'maker', spec }, prepare: MADE_PREPARE, finishes: [] }],
    courses: [newCourse(id, { laying: { ...COURSE_DEFAULTS.laying, rule } })],
  };
}

const READY: readonly Addable[] = Object.values(sets).map((set) => ({
  ...{ key: `set ${set.kind}`, label: set.label, hint: set.hint, group: 'Ready sets', of: { set: set.kind } },
  project: showing(set.label, set.parts((name) => name)), // prettier-ignore
}));

const MADE: readonly Addable[] = Object.entries(MAKER_GROUPS).flatMap(([group, title]) =>
  MAKERS.filter((own) => own.group === group).map(({ kind, label, hint }) => ({
    ...{ key: `maker ${kind}`, label, hint, group: title, of: { maker: kind } },
    project: showing(label, partsOfMaker(kind, 'segment')),
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

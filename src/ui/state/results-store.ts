import { createStore, type StoreApi } from 'zustand';
import type { Finding } from '../../core/findings/registry';
import type { Problem } from '../../core/math/result';
import type { CourseFacets, FacetUpdate, RunFacets, Versions } from '../../engine/facets';

export interface CourseResult extends CourseFacets {
  readonly id: string;
}

/** A computed run: all of its facets and those of its courses, in their order, and which they are. */
export interface RunResult extends RunFacets {
  readonly courses: readonly CourseResult[];
  readonly versions: Versions;
}

/** A run as one of its courses is seen. */
export type CourseView = RunFacets & CourseResult;

/** What was known of a run, with what has changed of it. */
export function withChanges(kept: RunResult | undefined, { versions, changed }: FacetUpdate): RunResult {
  const { courses, ...run } = changed;
  const made = Object.keys(versions.courses).map((id) => {
    const known = kept?.courses.find((course) => course.id === id);
    const own = courses[id] ?? {};
    return known && Object.keys(own).length === 0 ? known : ({ ...known, ...own, id } as CourseResult); // all of them, or those that it had
  });
  return { ...kept, ...run, courses: made, versions } as RunResult;
}

/** A run as one of its courses is seen, or its first where there is none of that id. */
export const courseView = (result: RunResult, course?: string): CourseView => {
  const { courses, path, findings, wheels } = result;
  return { path, findings, wheels, ...(courses.find(({ id }) => id === course) ?? courses[0]) };
};

export interface ResultsState {
  /** By run id. A run whose newest state could not be computed keeps its last good result. */
  readonly results: ReadonlyMap<string, RunResult>;
  readonly problems: ReadonlyMap<string, readonly Problem[]>;
  /** Where runs pass through each other and themselves, as it was when somebody last looked. */
  readonly crossings: ReadonlyMap<string, readonly Finding[]>;
  /** Why nobody looked; empty = somebody did. */
  readonly uncrossed: readonly Problem[];
  /** Runs whose newest state is still being computed. */
  readonly busy: ReadonlySet<string>;
}

export type ResultsStore = StoreApi<ResultsState>;

export const createResultsStore = (): ResultsStore =>
  createStore<ResultsState>()(() => ({
    results: new Map(),
    problems: new Map(),
    crossings: new Map(),
    uncrossed: [],
    busy: new Set(),
  }));

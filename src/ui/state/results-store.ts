import { createStore, type StoreApi } from 'zustand';
import type { Problem } from '../../core/math/result';
import type { RunFacets, Versions } from '../../engine/facets';

/** A computed run: all of its facets, and which they are. */
export interface RunResult extends RunFacets {
  readonly versions: Versions;
}

export interface ResultsState {
  /** By run id. A run whose newest state could not be computed keeps its last good result. */
  readonly results: ReadonlyMap<string, RunResult>;
  readonly problems: ReadonlyMap<string, readonly Problem[]>;
  /** Runs whose newest state is still being computed. */
  readonly busy: ReadonlySet<string>;
}

export type ResultsStore = StoreApi<ResultsState>;

export const createResultsStore = (): ResultsStore =>
  createStore<ResultsState>()(() => ({ results: new Map(), problems: new Map(), busy: new Set() }));

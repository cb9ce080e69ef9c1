import { createStore, type StoreApi } from 'zustand';
import type { Problem } from '../../core/math/result';
import type { Topology } from '../../core/bending/build-run';
import type { RunView } from '../../engine/run-view';

/** A computed run with what the page has kept of it. */
export interface RunResult {
  readonly view: RunView;
  readonly topology: Topology;
  readonly surface: NonNullable<RunView['surface']>;
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

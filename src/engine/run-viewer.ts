import { fail, ok, type Result } from '../core/math/result';
import type { Deriver } from './derive';
import type { DerivedRun } from './derived';
import { facetsOf, FacetVersions, type FacetUpdate, type Versions } from './facets';
import type { RunSource } from './run-source';

/** What is asked of a run that is shown. */
export interface ViewAsk {
  readonly run: string;
  /** Absent = the one that was sent last for this run. */
  readonly source?: RunSource;
  /** Seconds; null = finished. */
  readonly time: number | null;
  /** Versions of the facets that the asker has. */
  readonly held: Partial<Versions>;
}

/** Works out what changes of the runs that are shown. While time plays, what does not hang on it is not even looked up. */
export class RunViewer {
  readonly #deriver: Deriver;
  readonly #versions: FacetVersions;
  readonly #shown = new Map<string, Result<DerivedRun>>();

  /** `prefix` tells this viewer's versions from those of another one. */
  constructor(deriver: Deriver, prefix: string) {
    this.#deriver = deriver;
    this.#versions = new FacetVersions(prefix);
  }

  /** Problems: `run.unheld` where no source was sent yet, and those of the run. */
  async view({ run, source, time, held }: ViewAsk): Promise<Result<FacetUpdate>> {
    const derived = source ? await this.#deriver.derive(source, { isDragged: true }) : this.#shown.get(run);
    if (!derived) return fail('run.unheld');
    this.#shown.set(run, derived);
    return derived.ok
      ? ok(facetsOf(derived.value, time, held, this.#versions, this.#deriver), derived.warnings)
      : derived;
  }

  /** Lets go of what is not shown any more. */
  keepOnly(runs: readonly string[]): void {
    for (const run of this.#shown.keys()) if (!runs.includes(run)) this.#shown.delete(run);
  }
}

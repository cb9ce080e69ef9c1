import { Crashed, type ComputeClient } from '../../engine/compute-client';
import { sourceOf, type RunSource } from '../../engine/derive';
import type { Problem, Result } from '../../core/math/result';
import type { RunView } from '../../engine/run-view';
import type { DocumentStore } from './document-store';
import type { ResultsStore } from './results-store';
import type { SessionStore } from './session-store';
import { CRASHED } from './tell';

/** What a run's geometry was last asked for with. */
interface Asked {
  readonly source: RunSource;
  readonly time: number | null;
}

const isSame = (a: Asked | undefined, b: Asked): boolean =>
  a !== undefined &&
  a.time === b.time &&
  a.source.segment === b.source.segment &&
  a.source.curve === b.source.curve &&
  a.source.guides === b.source.guides &&
  a.source.job.laying === b.source.job.laying &&
  a.source.job.bending === b.source.job.bending &&
  a.source.job.motion === b.source.job.motion;

/** Keeps the results in step with the project: each run has one call under way, and then the newest state is asked for. */
export class ComputeLoop {
  readonly #document: DocumentStore;
  readonly #session: SessionStore;
  readonly #results: ResultsStore;
  readonly #client: ComputeClient;
  readonly #onCrash: () => void;
  readonly #done = new Map<string, Asked>();
  readonly #running = new Set<string>();
  readonly #stops: (() => void)[];

  constructor(
    stores: { document: DocumentStore; session: SessionStore; results: ResultsStore },
    client: ComputeClient,
    onCrash: () => void,
  ) {
    this.#document = stores.document;
    this.#session = stores.session;
    this.#results = stores.results;
    this.#client = client;
    this.#onCrash = onCrash;
    this.#stops = [
      this.#document.subscribe(() => this.#update()),
      this.#session.subscribe((state, before) => {
        if (state.time !== before.time) this.#update();
      }),
    ];
    this.#update();
  }

  close(): void {
    for (const stop of this.#stops) stop();
  }

  #update(): void {
    const { project } = this.#document.getState();
    const { results, problems } = this.#results.getState();
    const ids = new Set(project.runs.map(({ id }) => id));
    if ([...results.keys(), ...problems.keys()].some((id) => !ids.has(id))) {
      const keep = <V>(map: ReadonlyMap<string, V>) => new Map([...map].filter(([id]) => ids.has(id)));
      this.#results.setState({ results: keep(results), problems: keep(problems) });
      for (const id of this.#done.keys()) if (!ids.has(id)) this.#done.delete(id);
    }
    for (const { id } of project.runs) if (!this.#running.has(id)) void this.#compute(id);
  }

  #wanted(id: string): Asked | undefined {
    const { project } = this.#document.getState();
    const run = project.runs.find((r) => r.id === id);
    const source = run && run.visible ? sourceOf(project, run) : undefined;
    return source?.ok ? { source: source.value, time: this.#session.getState().time ?? null } : undefined;
  }

  async #compute(id: string): Promise<void> {
    this.#running.add(id);
    let crashed: Asked | undefined;
    for (let asked = this.#wanted(id); asked && !isSame(this.#done.get(id), asked); asked = this.#wanted(id)) {
      this.#setBusy(id, true);
      try {
        await this.#ask(id, asked);
        this.#done.set(id, asked);
      } catch (error) {
        // The new worker gets one more try at the same state; then it waits for the next edit.
        const isFirst = error instanceof Crashed && !isSame(crashed, asked);
        crashed = asked;
        if (error instanceof Crashed) this.#onCrash();
        else console.error(error);
        if (isFirst) continue;
        this.#done.set(id, asked);
        this.#setProblems(id, [CRASHED]);
      }
    }
    this.#running.delete(id);
    this.#setBusy(id, false);
  }

  async #ask(id: string, { source, time }: Asked): Promise<void> {
    const kept = this.#results.getState().results.get(id);
    const held = { topologyKey: kept?.view.topologyKey, surfaceKey: kept?.view.surfaceKey };
    const result = await this.#client.call((api) => api.view(source, time, held) as Promise<Result<RunView>>);
    if (!result.ok) return this.#setProblems(id, result.problems);
    const view = result.value;
    const topology = view.topology ?? kept?.topology;
    const surface = view.surface ?? kept?.surface;
    if (!topology || !surface) return;
    this.#results.setState(({ results }) => ({ results: new Map(results).set(id, { view, topology, surface }) }));
    this.#setProblems(id, []);
  }

  #setProblems(id: string, list: readonly Problem[]): void {
    const { problems } = this.#results.getState();
    if (list.length === 0 && !problems.has(id)) return;
    const next = new Map(problems);
    if (list.length > 0) next.set(id, list);
    else next.delete(id);
    this.#results.setState({ problems: next });
  }

  #setBusy(id: string, isBusy: boolean): void {
    const { busy } = this.#results.getState();
    if (busy.has(id) === isBusy) return;
    const next = new Set(busy);
    if (isBusy) next.add(id);
    else next.delete(id);
    this.#results.setState({ busy: next });
  }
}

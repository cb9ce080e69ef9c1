import { Crashed, type ComputeClient } from '../../engine/compute-client';
import { isSameSource, sourceOf, type RunSource } from '../../engine/run-source';
import type { Problem } from '../../core/math/result';
import type { DocumentStore } from './document-store';
import { withChanges, type ResultsStore } from './results-store';
import type { SessionStore } from './session-store';
import { CRASHED } from './tell';

/** What a run's geometry was last asked for with. */
interface Asked {
  readonly source: RunSource;
  readonly time: number | null;
}

const isSame = (a: Asked | undefined, b: Asked): boolean =>
  a !== undefined && a.time === b.time && isSameSource(a.source, b.source);

/** Keeps the results in step with the project: each run has one call under way, and then the newest state is asked for. */
export class ComputeLoop {
  readonly #document: DocumentStore;
  readonly #session: SessionStore;
  readonly #results: ResultsStore;
  readonly #client: ComputeClient;
  readonly #onCrash: () => void;
  readonly #done = new Map<string, Asked>();
  /** What the worker has of each run. */
  readonly #sent = new Map<string, RunSource>();
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
      for (const id of this.#sent.keys()) if (!ids.has(id)) this.#sent.delete(id);
      void this.#client.call((api) => api.keepOnly([...ids])).catch(() => undefined); // a new worker holds nothing
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
    const sent = this.#sent.get(id);
    const isSent = sent !== undefined && isSameSource(sent, source);
    const ask = { run: id, time, held: kept?.versions ?? {}, ...(!isSent && { source }) };
    const answer = await this.#client.call((api) => api.view(ask));
    this.#sent.set(id, source);
    if (!answer.ok && answer.problems[0]?.code === 'run.unheld') {
      this.#sent.delete(id); // the worker was started anew since
      return this.#ask(id, { source, time });
    }
    if (!answer.ok) return this.#setProblems(id, answer.problems);
    const result = withChanges(kept, answer.value);
    this.#results.setState(({ results }) => ({ results: new Map(results).set(id, result) }));
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

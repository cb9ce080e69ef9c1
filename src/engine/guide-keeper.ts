import { buildGuide } from '../core/guides/build-guide';
import type { GuideMesh } from '../core/guides/guide-body';
import type { Surface } from '../core/mesh/surface';
import { about, ok, type Result } from '../core/math/result';
import type { Mesh } from '../core/mesh/mesh';
import type { Guide } from '../project/schema';
import { buildSurface } from './mesh-surface';
import type { Stage, StageCache } from './stage-cache';

/** A guide in the scene, ready to be asked. */
export interface ReadyGuide {
  readonly id: string;
  /** Changes exactly when its surface does. */
  readonly key: string;
  /** Metres; null = not checked. */
  readonly clearance: number | null;
  readonly mesh: GuideMesh;
  readonly surface: Surface;
}

type Built = Pick<ReadyGuide, 'key' | 'mesh' | 'surface'>;

/** Builds guides and keeps them as long as they stay as they are. */
export class GuideKeeper {
  readonly #load: (asset: string) => Promise<Result<Mesh>>;
  readonly #built: Stage<Result<Built>>;

  constructor(load: (asset: string) => Promise<Result<Mesh>>, cache: StageCache) {
    this.#load = load;
    this.#built = cache.stage();
  }

  /** Problems: those of a brought guide's mesh, with the guide's `name`. */
  async get({ id, name, shape, position, turn, clearance, visible }: Guide): Promise<Result<ReadyGuide>> {
    const key = JSON.stringify([shape, position, turn]);
    const make = async (): Promise<Result<Built>> => {
      const brought = shape.from === 'asset' ? await this.#load(shape.asset) : undefined;
      if (brought && !brought.ok)
        return { ok: false, problems: brought.problems.map((p) => about({ guide: name }, p)) };
      const mesh = buildGuide({ shape, position, turn, clearance }, brought?.value);
      return ok({ key, mesh, surface: buildSurface(mesh) });
    };
    const built = await this.#built.getLater(key, make, (made) => made.ok);
    return built.ok ? ok({ id, clearance: visible ? clearance : null, ...built.value }) : built;
  }

  /** Those that can be built; a guide whose mesh is missing stops no run. */
  async all(guides: readonly Guide[]): Promise<readonly ReadyGuide[]> {
    const built = await Promise.all(guides.map((guide) => this.get(guide)));
    return built.flatMap((guide) => (guide.ok ? [guide.value] : []));
  }
}

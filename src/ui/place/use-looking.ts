import { saveCamera } from '../../project/commands/place';
import { newId } from '../../project/new-id';
import type { SavedCamera } from '../../project/place-spec';
import type { Run } from '../../project/schema';
import { untaken } from '../../project/untaken';
import { useApp } from '../state/app-context';

/** Metres a second for a run of this length: half a minute for all of it, at a walk at the least where there is room. */
const rideSpeed = (length: number): number => Number(Math.min(Math.max(length / 30, 0.01), 12).toPrecision(2));

/** Looking from kept cameras, keeping them, and riding along a run. */
export function useLooking() {
  const { document, session, results, lens } = useApp();
  return {
    lookFrom: ({ position, target }: SavedCamera) => {
      const { lookFrom, set } = session.getState();
      set({ view: 'free', isFlat: false, lookFrom: { position, target, count: (lookFrom?.count ?? 0) + 1 } });
    },
    keep: () => {
      const sight = lens.sight();
      if (!sight) return;
      const place = (v: { toArray(): number[] }) => v.toArray().map((c) => Number(c.toFixed(3))) as [number, number, number]; // prettier-ignore
      const [position, target] = [place(sight.camera.position), place(sight.target)];
      document.getState().edit((project) => {
        const name = untaken('Camera 1', project.cameras?.map((camera) => camera.name) ?? []);
        return saveCamera(project, { id: newId(), name, position, target });
      });
    },
    ride: ({ id }: Run) => {
      const { set } = session.getState();
      const length = results.getState().results.get(id)?.path.length ?? 10;
      const ride = { speed: rideSpeed(length), isHeld: false, station: 0, count: 1 };
      set({ view: 'free', isFlat: false, ride });
    },
  };
}

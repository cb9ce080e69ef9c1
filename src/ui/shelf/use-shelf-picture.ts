import { useEffect, useState } from 'react';
import { keepPicture, pictureOf } from '../../project/storage/shelf-pictures';
import { drawnIn } from '../bentview/drawn-in';
import { smallShot } from '../pictures/small-shot';
import { useApp, useSession, type AppServices } from '../state/app-context';
import { TOKENS } from '../tokens';
import { whenAtRest } from './when-at-rest';

/** Pixels, twice as many as are shown. */
const [WIDE, HIGH] = [192, 120];
/** Milliseconds from one picture of a project to the next, at the least. */
const SELDOM = 60_000;

/** What the bent view shows, in small, as an address that holds it; undefined where there is none. The page does not wait for it. */
async function shot({ lens, baker }: Pick<AppServices, 'lens' | 'baker'>): Promise<string | undefined> {
  const gl = lens.sight()?.gl;
  if (!gl || gl.domElement.width === 0) return undefined;
  await drawnIn(gl.getContext() as WebGL2RenderingContext); // or the picture would be late
  const picture = await smallShot(gl, WIDE, HIGH, TOKENS.light.ground);
  return baker.call((api) => api.imageOf(picture));
}

/** Keeps how the open project looks, when it was saved since and all has come to rest. A picture that cannot be had is no reason to say anything. */
export function useKeptPictures(): void {
  const app = useApp();
  const id = useSession((s) => s.projectId);
  useEffect(() => {
    if (!id) return undefined;
    let [takenAt, takenOf] = [-Infinity, 0];
    return whenAtRest(app, () => {
      const { save } = app.session.getState();
      if (save.kind !== 'saved' || save.at === takenOf) return undefined;
      const wait = takenAt + SELDOM - performance.now();
      if (wait > 0) return wait;
      [takenAt, takenOf] = [performance.now(), save.at];
      void shot(app)
        .then((taken) => (taken ? keepPicture(id, taken) : undefined))
        .catch(() => undefined);
      return undefined;
    });
  }, [app, id]);
}

/** How a project looked when it was last on the screen; the open one as it looks now. */
export function useShelfPicture(id: string, isOpen: boolean): string | undefined {
  const app = useApp();
  const [kept, setKept] = useState<string>();
  useEffect(() => {
    let isLive = true;
    const show = (found: string | undefined) => {
      if (isLive && found) setKept(found);
    };
    const find = async () => {
      show(await pictureOf(id));
      if (isOpen) show(await shot(app));
    };
    find().catch(() => undefined);
    return () => {
      isLive = false;
    };
  }, [id, isOpen, app]);
  return kept;
}

import { useEffect, useState } from 'react';
import { keepPicture, pictureOf } from '../../project/storage/shelf-pictures';
import { drawnIn } from '../bentview/drawn-in';
import type { Lens } from '../pictures/lens';
import { useApp, useSession } from '../state/app-context';
import { TOKENS } from '../tokens';

/** Pixels, twice as many as are shown. */
const [WIDE, HIGH] = [192, 120];
/** Milliseconds after a save until a picture is taken: by then all has been drawn. */
const LATER = 4000;

/** What the bent view shows, in small; undefined where there is none. */
function shot(lens: Lens): string | undefined {
  const seen = lens.sight()?.gl.domElement;
  if (!seen || seen.width === 0) return undefined;
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [WIDE, HIGH];
  const context = canvas.getContext('2d')!;
  context.fillStyle = TOKENS.light.ground;
  context.fillRect(0, 0, WIDE, HIGH);
  const scale = Math.max(WIDE / seen.width, HIGH / seen.height);
  const [w, h] = [seen.width * scale, seen.height * scale];
  context.imageSmoothingQuality = 'high';
  context.drawImage(seen, (WIDE - w) / 2, (HIGH - h) / 2, w, h);
  return canvas.toDataURL('image/jpeg', 0.82);
}

/** Keeps how the open project looks, some time after each save. A picture that cannot be had is no reason to say anything. */
export function useKeptPictures(): void {
  const { lens } = useApp();
  const id = useSession((s) => s.projectId);
  const savedAt = useSession((s) => (s.save.kind === 'saved' ? s.save.at : undefined));
  useEffect(() => {
    if (!id || !savedAt) return undefined;
    let isLive = true;
    const take = async () => {
      const gl = lens.sight()?.gl;
      if (gl) await drawnIn(gl.getContext() as WebGL2RenderingContext); // or the page would wait for what is being drawn
      const taken = isLive && shot(lens);
      if (taken) await keepPicture(id, taken);
    };
    const timer = setTimeout(() => void take().catch(() => undefined), LATER);
    return () => {
      isLive = false;
      clearTimeout(timer);
    };
  }, [lens, id, savedAt]);
}

/** How a project looked when it was last on the screen; the open one as it looks now. */
export function useShelfPicture(id: string, isOpen: boolean): string | undefined {
  const { lens } = useApp();
  const [kept, setKept] = useState<string>();
  useEffect(() => {
    let isLive = true;
    const now = isOpen ? shot(lens) : undefined;
    void (now ? Promise.resolve(now) : pictureOf(id)).then((found) => isLive && setKept(found)).catch(() => undefined);
    return () => {
      isLive = false;
    };
  }, [id, isOpen, lens]);
  return kept;
}

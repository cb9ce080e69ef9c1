import { useEffect, useState } from 'react';
import { keepPicture, pictureOf } from '../../project/storage/shelf-pictures';
import { takePicture } from '../pictures/take-picture';
import { useApp } from '../state/app-context';
import { TOKENS } from '../tokens';

/** Pixels, twice as many as are shown. */
export const SHELF_PICTURE = { width: 192, height: 120 } as const;

/** How a project looked when it was last on the screen; of the open one a picture is taken now. */
export function useShelfPicture(id: string, isOpen: boolean): string | undefined {
  const { lens } = useApp();
  const [url, setUrl] = useState<string>();
  useEffect(() => {
    let isLive = true;
    const read = async () => {
      const sight = isOpen ? lens.sight() : undefined;
      if (!sight) return pictureOf(id);
      const { paper, ground } = TOKENS.light;
      const canvas = takePicture(sight, { ...SHELF_PICTURE, behind: [paper, ground], guides: true, turn: 0 });
      const taken = canvas.toDataURL('image/jpeg', 0.82);
      await keepPicture(id, taken);
      return taken;
    };
    // A picture that cannot be had is no reason to say anything.
    void read()
      .then((found) => isLive && setUrl(found))
      .catch(() => undefined);
    return () => {
      isLive = false;
    };
  }, [id, isOpen, lens]);
  return url;
}

import { useEffect, useState } from 'react';
import type { PlainFinish } from '../../core/segment/finish/finish-spec';
import type { PlainSurface } from '../../engine/compute-api';
import { useApp, useResults } from '../state/app-context';

/** How a finish looks; undefined until that is worked out. */
export function usePlainSurface(finish: PlainFinish): PlainSurface | undefined {
  const { baker, surfaces } = useApp();
  const isBusy = useResults((s) => s.busy.size > 0);
  const key = JSON.stringify(finish);
  const [made, setMade] = useState<{ key: string; surface: PlainSurface | undefined }>();
  const isMade = made?.key === key;
  useEffect(() => {
    if (isBusy || isMade) return undefined; // runs come first
    let isLive = true;
    void surfaces
      .ask(key, async () => {
        const made = await baker.call((api) => api.surface(JSON.parse(key) as PlainFinish));
        return made.ok ? made.value : undefined;
      })
      .then((surface) => isLive && setMade({ key, surface }));
    return () => {
      isLive = false;
    };
  }, [key, baker, surfaces, isBusy, isMade]);
  return isMade ? made.surface : undefined;
}

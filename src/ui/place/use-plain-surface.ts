import { useEffect, useState } from 'react';
import type { PlainFinish } from '../../core/segment/finish/finish-spec';
import type { PlainSurface } from '../../engine/compute-api';
import { useApp } from '../state/app-context';

/** How a finish looks; undefined until that is worked out. */
export function usePlainSurface(finish: PlainFinish): PlainSurface | undefined {
  const { baker, surfaces } = useApp();
  const key = JSON.stringify(finish);
  const [made, setMade] = useState<{ key: string; surface: PlainSurface | undefined }>();
  useEffect(() => {
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
  }, [key, baker, surfaces]);
  return made?.key === key ? made.surface : undefined;
}

import { useEffect, useState } from 'react';
import type { PlainFinish } from '../../core/segment/finish/finish-spec';
import type { PlainSurface } from '../../engine/compute-api';
import { useApp } from '../state/app-context';

/** Finishes that were asked for: many guides wear the same. */
const KEPT = new Map<string, Promise<PlainSurface | undefined>>();
const MOST_KEPT = 40;

/** How a finish looks; undefined until that is worked out. */
export function usePlainSurface(finish: PlainFinish): PlainSurface | undefined {
  const { baker } = useApp();
  const key = JSON.stringify(finish);
  const [made, setMade] = useState<{ key: string; surface: PlainSurface | undefined }>();
  useEffect(() => {
    let isLive = true;
    const asked =
      KEPT.get(key) ??
      baker
        .call((api) => api.surface(JSON.parse(key) as PlainFinish))
        .then((answer) => (answer.ok ? answer.value : undefined))
        .catch(() => undefined); // a crash is told where it happened
    if (!KEPT.has(key) && KEPT.size >= MOST_KEPT) KEPT.delete(KEPT.keys().next().value!);
    KEPT.set(key, asked);
    void asked.then((surface) => {
      if (!surface) KEPT.delete(key);
      if (isLive) setMade({ key, surface });
    });
    return () => {
      isLive = false;
    };
  }, [key, baker]);
  return made?.key === key ? made.surface : undefined;
}

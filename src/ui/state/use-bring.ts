import { useState } from 'react';
import { Stopped } from '../../engine/compute-client';
import type { BroughtMesh } from '../../engine/compute-api';
import { useApp } from './app-context';
import { CRASHED } from './tell';

/** Reading under way: how far, and a way to stop it. */
export interface Bringing {
  readonly fileName: string;
  readonly share: number;
  readonly stop: () => void;
}

/** Reads mesh files in the worker and stores them; tells what is wrong and then leaves everything as it was. */
export function useBring(onBrought: (mesh: BroughtMesh) => void) {
  const { baker, tell } = useApp();
  const [bringing, setBringing] = useState<Bringing>();
  const bring = async (files: readonly File[]) => {
    if (files.length === 0) return;
    const controller = new AbortController();
    const fileName = files[0].name;
    let isOver = false; // progress may still arrive when the work has ended
    const show = (share: number) => isOver || setBringing({ fileName, share, stop: () => controller.abort() });
    show(0);
    try {
      const read = await Promise.all(
        files.map(async (file) => ({ name: file.name, bytes: new Uint8Array(await file.arrayBuffer()) })),
      );
      show(0.2);
      const result = await baker.call((api) => api.bring(read, show), controller.signal);
      tell.result(result);
      if (result.ok) onBrought(result.value);
    } catch (error) {
      if (!(error instanceof Stopped)) tell.problems([CRASHED]);
    } finally {
      isOver = true;
      setBringing(undefined);
    }
  };
  return { bring, bringing };
}

import { useState } from 'react';
import { rangeOf, type FrameRange } from '../../core/motion/frame-range';
import type { MovingFacts, MovingOptions } from '../../engine/bake-moving';
import type { NamedBytes } from '../../formats/format';
import type { Project } from '../../project/schema';
import { fileNameOf } from '../save-file';
import { useApp } from '../state/app-context';
import { wanted, type Work } from './use-work';
import { shareWords } from './zip-frames';

type Asked = Pick<MovingOptions, 'by' | 'most' | 'run' | 'guides'>;

interface Made {
  readonly project: Project;
  readonly asked: string;
  readonly files: readonly NamedBytes[];
  readonly facts: MovingFacts;
}

/** One GLB that moves is worked out first, so that it can be said how large it is and how far off, and then saved. */
export function useMoving({ work }: Work) {
  const { document, baker, tell } = useApp();
  const [made, setMade] = useState<Made>();
  const make = (asked: Asked) =>
    work(async (signal, show) => {
      const { stored: project } = document.getState();
      const range = closed(rangeOf(project.time), project.time.loops);
      const name = fileNameOf(project.name);
      const began = performance.now();
      const onProgress = (share: number) => show(share, shareWords(share, began));
      const baked = await baker.call((api) => api.bakeMoving(project, name, { ...asked, range }, onProgress), signal);
      setMade({ project, asked: JSON.stringify(asked), ...wanted(baked) });
      tell.result(baked);
      return undefined;
    });
  const madeFor = (asked: Asked): Made | undefined =>
    made?.project === document.getState().stored && made.asked === JSON.stringify(asked) ? made : undefined;
  return { make, madeFor };
}

/** A film's last frame is not its first, but a file that plays goes on from one to the next: it needs both. */
const closed = (range: FrameRange, loops: boolean): FrameRange => (loops ? { ...range, last: range.last + 1 } : range);

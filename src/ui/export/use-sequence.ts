import { useEffect, useState } from 'react';
import { frameCount, frameName, frameTime, type FrameRange } from '../../core/motion/frame-range';
import type { NamedBytes } from '../../formats/format';
import type { FormatName } from '../../formats/registry';
import { assetIdOf } from '../../project/asset-id';
import { beginSequence, endSequence, unfinished } from '../../project/storage/unfinished';
import { film } from '../pictures/film';
import { fileNameOf, saveBlob } from '../save-file';
import { useApp } from '../state/app-context';
import { frameFiles } from './kept-frames';
import { useBake, type ExportOptions } from './use-bake';
import { pngOf, usePictures, type Eye, type PicturesAsked } from './use-pictures';
import type { Work } from './use-work';
import { leftWords, zipFrames } from './zip-frames';

/** A sequence of frames, as plain values: it can be gone on with after the page was loaded anew. */
export type SequenceAsked =
  | { readonly of: 'meshes'; readonly format: FormatName; readonly options: ExportOptions; readonly range: FrameRange }
  | { readonly of: 'pictures'; readonly as: 'zip' | 'mp4' | 'webm'; readonly asked: PicturesAsked; readonly eye: Eye };

/** One that was stopped, of the project as it is now. */
export interface Stopped {
  readonly asked: SequenceAsked;
  readonly done: number;
  readonly count: number;
}

/** Makes sequences, frame by frame; what is made is kept until the whole is saved, so that one that was stopped, or lost its page, can be gone on with. */
export function useSequence({ work, running }: Work) {
  const app = useApp();
  const { document, session } = app;
  const bake = useBake();
  const { picture, rangeFor } = usePictures();
  const stopped = useStopped(running !== undefined);

  const filesOf = async (asked: SequenceAsked, frame: number, signal: AbortSignal): Promise<readonly NamedBytes[]> => {
    const name = fileNameOf(document.getState().stored.name);
    if (asked.of === 'meshes') {
      const { format, options, range } = asked;
      const own = { ...options, time: frameTime(range, frame), mayBeEmpty: true };
      return (await bake(format, frameName(name, frame, range), own, signal)).files;
    }
    const png = await pngOf(await picture(asked.asked, asked.eye, frame, signal));
    const own = `${frameName(name, frame, rangeFor(asked.asked))}.png`;
    return [{ name: own, bytes: new Uint8Array(await png.arrayBuffer()) }];
  };

  const start = (asked: SequenceAsked, isGoingOn = false) =>
    work(async (signal, show) => {
      const { projectId = '', time: before } = session.getState();
      const range = asked.of === 'meshes' ? asked.range : rangeFor(asked.asked);
      const count = frameCount(range);
      const state = await hashOf(document.getState().stored);
      if (!isGoingOn)
        await beginSequence({ project: projectId, state, count, asked: JSON.stringify(asked) }).catch(() => undefined);
      const files = (frame: number) => frameFiles(frame, () => filesOf(asked, frame, signal));
      const ending = asked.of === 'meshes' ? 'zip' : asked.as;
      const name = `${fileNameOf(document.getState().stored.name)}.${ending}`;
      try {
        if (asked.of === 'pictures' && asked.as !== 'zip') {
          const { width, height } = asked.asked;
          const spec = { format: asked.as, width, height, frames: count, framesPerSecond: range.framesPerSecond };
          const began = performance.now();
          const shown = async (i: number) => createImageBitmap(new Blob([(await files(range.first + i))[0].bytes as Uint8Array<ArrayBuffer>])); // prettier-ignore
          saveBlob(await film(spec, shown, (done, bytes) => show(done / count, leftWords(done, count, began, bytes))), name); // prettier-ignore
        } else saveBlob(await zipFrames(range, files, show), name);
      } finally {
        session.getState().set({ time: before });
      }
      await endSequence().catch(() => undefined);
      return name;
    });
  return { start, stopped, goOn: () => stopped && start(stopped.asked, true) };
}

/** The sequence that was stopped, where the project has not changed since. */
function useStopped(isRunning: boolean): Stopped | undefined {
  const { document, session } = useApp();
  const [found, setFound] = useState<Stopped>();
  useEffect(() => {
    let isLive = true;
    const look = async () => {
      const last = await unfinished().catch(() => undefined);
      const isOwn =
        last?.project === (session.getState().projectId ?? '') &&
        last.state === (await hashOf(document.getState().stored));
      const isSome = last !== undefined && isOwn && last.done > 0;
      if (isLive) setFound(isSome ? { ...last, asked: JSON.parse(last.asked) as SequenceAsked } : undefined);
    };
    if (!isRunning) void look();
    return () => {
      isLive = false;
    };
  }, [isRunning, document, session]);
  return found;
}

const hashOf = (project: object): Promise<string> => assetIdOf(new TextEncoder().encode(JSON.stringify(project)));

import type { Repeated } from '../../formats/format';
import { FORMATS, type FormatName } from '../../formats/registry';
import { useApp } from '../state/app-context';
import { wanted } from './use-work';

/** What of the project goes into the file, and how. */
export interface ExportOptions {
  readonly run: string | undefined;
  readonly time: number | null;
  readonly guides: boolean;
  readonly repeated: Repeated;
}

/** Bakes the files of one moment in the worker. */
export function useBake() {
  const { document, baker } = useApp();
  return async (
    kind: FormatName,
    name: string,
    options: ExportOptions & { readonly mayBeEmpty?: boolean },
    signal: AbortSignal,
    onProgress: (share: number) => void = () => undefined,
  ) => {
    const { stored: project } = document.getState();
    const [extension] = FORMATS.find((f) => f.kind === kind)!.extensions;
    const baked = await baker.call((api) => api.bake(project, extension, name, options, onProgress), signal);
    const { files } = wanted(baked);
    return { files: files, baked };
  };
}

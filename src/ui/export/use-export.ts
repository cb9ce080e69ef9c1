import { FORMATS, type FormatName } from '../../formats/registry';
import { fileNameOf, saveBlob, saveFiles } from '../save-file';
import { useApp } from '../state/app-context';
import { glbToUsdz } from './glb-to-usdz';
import { useBake, type ExportOptions } from './use-bake';
import { pngOf, usePictures, type PicturesAsked } from './use-pictures';
import type { Work } from './use-work';

/** Formats of files; those of one more are made of another one's. */
export type FileFormat = FormatName | 'usdz';

/** Saves what is one file: a mesh, or a picture. */
export function useExport({ work }: Work) {
  const { document, tell } = useApp();
  const bake = useBake();
  const { picture, eyeNow } = usePictures();
  const nameNow = () => fileNameOf(document.getState().stored.name);
  const saveMesh = (kind: FileFormat, options: ExportOptions) =>
    work(async (signal, show) => {
      const name = nameNow();
      const own = kind === 'usdz' ? 'glb' : kind;
      const asked = kind === 'usdz' ? { ...options, repeated: 'plain' as const } : options;
      const { files, baked } = await bake(own, name, asked, signal, show);
      if (kind === 'usdz') {
        const made = await glbToUsdz(files[0]);
        await saveFiles([made], name, 'model/vnd.usdz+zip');
        return made.name;
      }
      await saveFiles(files, name, FORMATS.find((f) => f.kind === kind)!.mime);
      tell.result(baked);
      return files.length > 1 ? `${name}.zip` : files[0].name;
    });
  const savePicture = (asked: PicturesAsked) =>
    work(async (signal) => {
      const name = `${nameNow()}.png`;
      saveBlob(await pngOf(await picture(asked, eyeNow(), 1, signal)), name);
      return name;
    });
  return { saveMesh, savePicture };
}

import type { NamedBytes } from '../../formats/format';

/** A GLB as USDZ, by three's reader and writer. */
export async function glbToUsdz({ name, bytes }: NamedBytes): Promise<NamedBytes> {
  const [{ GLTFLoader }, { USDZExporter }] = await Promise.all([
    import('three/examples/jsm/loaders/GLTFLoader.js'),
    import('three/examples/jsm/exporters/USDZExporter.js'),
  ]);
  const { scene } = await new GLTFLoader().parseAsync(bytes.slice().buffer, '');
  const made = await new USDZExporter().parseAsync(scene, { includeAnchoringProperties: false });
  return { name: name.replace(/\.glb$/, '.usdz'), bytes: new Uint8Array(made as unknown as ArrayBuffer) };
}

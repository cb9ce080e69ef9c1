import {
  BackSide,
  DataTexture,
  DoubleSide,
  FrontSide,
  MeshStandardMaterial,
  NoColorSpace,
  RepeatWrapping,
  SRGBColorSpace,
  Texture,
  TextureSource,
  Vector2,
} from 'three';
import type { Image, Material } from '../../core/mesh/mesh';

/** three's materials for a run's; textures appear when their images are decoded, then `onReady` is called. */
export function buildMaterials(
  materials: readonly Material[],
  images: readonly Image[],
  vertexColors: boolean,
  onReady: () => void,
): MeshStandardMaterial[] {
  const worn = images.map((image) => {
    const wears: ((decoded: TextureSource<ImageBitmap>) => void)[] = [];
    const blob = new Blob([image.bytes as Uint8Array<ArrayBuffer>], { type: image.mime });
    createImageBitmap(blob, { imageOrientation: 'none', premultiplyAlpha: 'none' }).then(
      (bitmap) => {
        const decoded = new TextureSource(bitmap);
        for (const wear of wears) wear(decoded);
        onReady();
      },
      () => onReady(),
    );
    return wears;
  });
  return materials.map((source) => {
    const [r, g, b, opacity] = source.colour;
    const { textureTransform: transform } = source;
    const material = new MeshStandardMaterial({
      name: source.name,
      vertexColors,
      roughness: source.roughness,
      metalness: source.metalness,
      opacity,
      transparent: source.alpha === 'blend',
      alphaTest: source.alpha === 'mask' ? 0.5 : 0,
      side: source.doubleSided ? DoubleSide : FrontSide,
      shadowSide: DoubleSide, // pieces that touch leave no slits of light between them
      // Without tangents three takes the other hand for the image's y than glTF does.
      normalScale: new Vector2(source.normalScale ?? 1, -(source.normalScale ?? 1)),
    });
    /** Plain until the image is there: a texture without one would be black. */
    const put = (slots: readonly (keyof typeof PLAIN)[], place: number | undefined) => {
      if (place === undefined || !worn[place]) return;
      for (const slot of slots) material[slot] = PLAIN[slot];
      worn[place].push((decoded) => {
        const own = tilingTexture();
        own.source = decoded; // one image, several ways to lie
        if (transform) {
          own.repeat.set(...transform.scale);
          own.rotation = transform.turn;
          own.offset.set(...transform.offset);
        }
        if (slots[0] === 'map') own.colorSpace = SRGBColorSpace;
        own.needsUpdate = true;
        for (const slot of slots) material[slot] = own;
      });
    };
    put(['map'], source.colourImage);
    put(['normalMap'], source.normalImage);
    put(['roughnessMap', 'metalnessMap'], source.surfaceImage);
    if (source.isCoat) {
      // It lies on the very triangles that it covers, and throws no shadow on them.
      material.polygonOffset = true;
      material.polygonOffsetFactor = material.polygonOffsetUnits = -1;
      material.depthWrite = false;
      material.shadowSide = BackSide;
    }
    material.color.setRGB(r, g, b);
    material.emissive.setRGB(...source.emissive);
    return material;
  });
}

/** One pixel for each kind of texture: a light grey, flat, rough and no metal. */
const PLAIN = {
  map: pixel(225, 225, 225, SRGBColorSpace),
  normalMap: pixel(128, 128, 255),
  roughnessMap: pixel(255, 255, 0),
  metalnessMap: pixel(255, 255, 0),
};

function pixel(r: number, g: number, b: number, colorSpace: string = NoColorSpace): DataTexture {
  const texture = new DataTexture(new Uint8Array([r, g, b, 255]), 1, 1);
  texture.colorSpace = colorSpace;
  texture.needsUpdate = true;
  return texture;
}

function tilingTexture(): Texture {
  const texture = new Texture();
  texture.wrapS = texture.wrapT = RepeatWrapping;
  texture.flipY = false;
  texture.anisotropy = 8;
  return texture;
}

export function disposeMaterials(materials: readonly MeshStandardMaterial[]): void {
  for (const material of materials) {
    for (const texture of [material.map, material.normalMap, material.roughnessMap]) texture?.dispose();
    material.dispose();
  }
}

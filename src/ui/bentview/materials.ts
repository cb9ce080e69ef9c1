import {
  BackSide,
  DoubleSide,
  FrontSide,
  MeshStandardMaterial,
  RepeatWrapping,
  SRGBColorSpace,
  Texture,
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
  const clones: Texture[] = [];
  const textures = images.map((image) => {
    const texture = tilingTexture();
    const blob = new Blob([image.bytes as Uint8Array<ArrayBuffer>], { type: image.mime });
    createImageBitmap(blob, { imageOrientation: 'none', premultiplyAlpha: 'none' }).then(
      (bitmap) => {
        texture.image = bitmap;
        texture.needsUpdate = true;
        for (const clone of clones) if (clone.source === texture.source) clone.needsUpdate = true;
        onReady();
      },
      () => onReady(),
    );
    return texture;
  });
  const textureAt = (place: number | undefined) => (place === undefined ? null : (textures[place] ?? null));
  return materials.map((source) => {
    const [r, g, b, opacity] = source.colour;
    const { textureTransform: transform } = source;
    const worn = (place: number | undefined) => {
      const texture = textureAt(place);
      if (!texture || !transform) return texture;
      const own = tilingTexture();
      own.source = texture.source; // one image, several ways to lie
      own.repeat.set(...transform.scale);
      own.rotation = transform.turn;
      own.offset.set(...transform.offset);
      clones.push(own);
      return own;
    };
    const map = worn(source.colourImage);
    if (map) map.colorSpace = SRGBColorSpace;
    const surface = worn(source.surfaceImage);
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
      map,
      normalMap: worn(source.normalImage),
      // Without tangents three takes the other hand for the image's y than glTF does.
      normalScale: new Vector2(source.normalScale ?? 1, -(source.normalScale ?? 1)),
      roughnessMap: surface,
      metalnessMap: surface,
    });
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

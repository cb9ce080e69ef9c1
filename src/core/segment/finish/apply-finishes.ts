import { PLAIN_MATERIAL, type Image, type Material, type Mesh, type Part } from '../../mesh/mesh';
import { paint } from '../colour';
import type { CoatSpec, FinishSpec, PlainFinish } from './finish-spec';
import { metricUvs } from './metric-uvs';

/** The images of a texture, ready to be worn; absent where there is none. */
export interface TextureImages {
  readonly colour: Image;
  readonly normal?: Image;
  readonly surface?: Image;
}

/**
 * The mesh with the finishes on its parts: each finished part gets a material of its own. `length` is a piece's natural length: where
 * whole repeats are asked for, the repeat gives way until a whole number fits. Texture coordinates of textured parts are metres along and
 * round the run after that, whatever those of a brought mesh counted.
 */
export function applyFinishes(
  mesh: Mesh,
  length: number,
  finishes: readonly FinishSpec[],
  imagesOf: (worn: FinishSpec | CoatSpec) => TextureImages | undefined,
  isBrought = false,
): Mesh {
  const worn = new Map(finishes.map((finish) => [finish.part, finish]));
  if (!mesh.parts.some(({ name }) => worn.has(name))) return mesh;
  const materials: Material[] = [...mesh.materials];
  const images: Image[] = [...mesh.images];
  const parts = mesh.parts.map((part): Part => {
    const finish = worn.get(part.name);
    if (!finish) return part;
    materials.push(
      finishedMaterial(mesh.materials[part.material], part.name, length, finish, imagesOf(finish), images),
    );
    const own = { ...part, material: materials.length - 1, runsOn: finish.fit === 'onward' };
    const { coat } = finish;
    if (!coat) return own;
    const over = finishedMaterial(PLAIN_MATERIAL, `${part.name}, coat`, length, { ...finish, ...coat.finish, part: part.name }, imagesOf(coat), images); // prettier-ignore
    materials.push({ ...over, alpha: 'blend', isCoat: true });
    return { ...own, coat: { material: materials.length - 1, mask: coat.mask } };
  });
  const textured = isBrought ? parts.filter(({ name }) => hasTexture(worn.get(name))) : [];
  const uvs = textured.length > 0 ? metricUvs(mesh, textured) : mesh.uvs;
  return { ...mesh, uvs, parts, materials, images };
}

const hasTexture = (finish: FinishSpec | undefined): boolean =>
  finish !== undefined &&
  ([finish, finish.coat?.finish].some((own) => own?.texture) || finish.coat?.mask.kind === 'map');

/** The material of what has no parts, with its images: textures lie on it by the metre. */
export function plainSurface(finish: PlainFinish, texture: TextureImages | undefined) {
  const images: Image[] = [];
  const whole: FinishSpec = { ...finish, part: 'Whole', turn: 0, shiftAlong: 0, shiftRound: 0, fit: 'onward' };
  return { materials: [finishedMaterial(PLAIN_MATERIAL, whole.part, 1, whole, texture, images)], images };
}

function finishedMaterial(
  before: Material,
  part: string,
  length: number,
  finish: FinishSpec,
  texture: TextureImages | undefined,
  images: Image[],
): Material {
  const { colour, roughness, metalness, bump, repeat, turn, shiftAlong, shiftRound, fit } = finish;
  const plain: Material = { ...paint(part, colour, roughness, metalness), doubleSided: before.doubleSided };
  if (!texture) return plain;
  // Parts that wear the same image share it.
  const place = (image: Image | undefined) => {
    const known = image ? images.indexOf(image) : -1;
    return image && known < 0 ? images.push(image) - 1 : image && known;
  };
  const [colourImage, normalImage, surfaceImage] = [
    place(texture.colour),
    place(texture.normal),
    place(texture.surface),
  ];
  const along = fit === 'whole' ? Math.max(Math.round(length / repeat), 1) / length : 1 / repeat;
  return {
    ...plain,
    ...(colourImage !== undefined && { colourImage }),
    ...(normalImage !== undefined && bump > 0 && { normalImage, normalScale: bump }),
    ...(surfaceImage !== undefined && { surfaceImage }),
    // Round the section a repeat is as wide as it is long; only along the length must it fit.
    textureTransform: { scale: [along, 1 / repeat], turn, offset: [shiftAlong * along, shiftRound / repeat] },
  };
}

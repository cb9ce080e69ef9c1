import { PLAIN_MATERIAL, type Image, type Material } from '../core/mesh/mesh';
import type { NamedBytes } from './format';
import { asUtf8 } from './text';
import { Lines, LONGEST_LINE } from './text-lines';

const MIMES: Readonly<Record<string, Image['mime']>> = {
  png: 'image/png',
  jpg: 'image/jpeg',
  jpeg: 'image/jpeg',
  webp: 'image/webp',
};

export interface MtlLibrary {
  readonly materials: ReadonlyMap<string, Material>;
  readonly images: readonly Image[];
}

/** Reads a material library; images are taken from `beside` by file name, those not given are left out. */
export function readMtl(bytes: Uint8Array, beside: readonly NamedBytes[]): MtlLibrary {
  const materials = new Map<string, Material>();
  const images: Image[] = [];
  /** Materials that say their roughness themselves: shininess counts less. */
  const rough = new Set<string>();
  let name = '';
  const change = (part: Partial<Material>) => materials.set(name, { ...materials.get(name)!, ...part });
  const lines = new Lines(asUtf8(bytes));
  for (let line = lines.next(); line !== undefined; line = lines.next()) {
    if (line.length > LONGEST_LINE) continue;
    const [key = '', ...rest] = line.trim().split(/\s+/);
    const numbers = rest.map(Number);
    const value = numbers[0] ?? NaN;
    if (key === 'newmtl') {
      name = rest.join(' ');
      materials.set(name, { ...PLAIN_MATERIAL, name });
      continue;
    }
    const current = materials.get(name);
    if (!current) continue;
    if (key === 'Kd' && isColour(numbers)) change({ colour: [numbers[0], numbers[1], numbers[2], current.colour[3]] });
    else if (key === 'Ke' && isColour(numbers)) change({ emissive: [numbers[0], numbers[1], numbers[2]] });
    else if (key === 'd' && value >= 0 && value <= 1) {
      const [r, g, b] = current.colour;
      change({ colour: [r, g, b, value], alpha: value < 1 ? 'blend' : 'opaque' });
    } else if (key === 'Ns' && value >= 0 && !rough.has(name))
      change({ roughness: 1 - Math.min(Math.sqrt(value / 1000), 1) });
    else if (key === 'Pr' && value >= 0 && value <= 1) {
      rough.add(name);
      change({ roughness: value });
    } else if (key === 'Pm' && value >= 0 && value <= 1) change({ metalness: value });
    else if (key === 'map_Kd') {
      const image = imageNamed(rest[rest.length - 1] ?? '', beside);
      if (image) {
        images.push(image);
        change({ colourImage: images.length - 1, colour: [1, 1, 1, current.colour[3]] });
      }
    }
  }
  return { materials, images };
}

const isColour = (c: readonly number[]): boolean => c.length >= 3 && c.slice(0, 3).every((x) => x >= 0 && x <= 1);

function imageNamed(path: string, beside: readonly NamedBytes[]): Image | undefined {
  const wanted = path.split(/[\\/]/).pop()!.toLowerCase();
  const file = beside.find(({ name }) => name.split('/').pop()!.toLowerCase() === wanted);
  const mime = MIMES[wanted.slice(wanted.lastIndexOf('.') + 1)];
  return file && mime ? { name: file.name, mime, bytes: file.bytes } : undefined;
}

import type { PictureName } from '../state/picture-store';

/** The ways in which the bent view is drawn. */
export const PICTURES: Readonly<Record<PictureName, { readonly label: string; readonly hint: string }>> = {
  work: { label: 'Work', hint: 'Plain and quick' },
  show: { label: 'Show', hint: 'Sky, ground, water, mist, and shade in corners as soon as all rests' },
  lines: { label: 'Lines', hint: 'Rows and seams over clay' },
};
export const PICTURE_NAMES = Object.keys(PICTURES) as readonly PictureName[];

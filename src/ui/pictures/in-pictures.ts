import type { Object3D } from 'three';

/** Marks what is for working only, and what shows where guides do or where there is a ground. */
export const FOR_WORK = { shows: 'work' } as const;
export const AS_GUIDE = { shows: 'guides' } as const;
export const AS_GROUND = { shows: 'ground' } as const;

/** What is to be seen: `guides` absent = if they are seen on the screen. */
export interface Seen {
  readonly guides?: boolean;
  readonly ground: boolean;
}

/** Draws with what is to be seen and without what is for working only. */
export function withOnly(scene: Object3D, { guides, ground }: Seen, draw: () => void): void {
  const changed: Object3D[] = [];
  scene.traverse((object) => {
    const { shows } = object.userData as { shows?: 'work' | 'guides' | 'ground' };
    if (shows === undefined) return;
    const isSeen = { work: false, guides: guides ?? object.visible, ground: ground && object.visible }[shows];
    if (isSeen !== object.visible) changed.push(object);
  });
  const turn = () => changed.forEach((object) => (object.visible = !object.visible));
  turn();
  try {
    draw();
  } finally {
    turn();
  }
}

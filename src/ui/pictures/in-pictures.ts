import type { Object3D } from 'three';

/** Marks what is for working only, and what shows where guides do or where there is a ground. */
export const FOR_WORK = { shows: 'work' } as const;
export const AS_GUIDE = { shows: 'guides' } as const;
export const AS_GROUND = { shows: 'ground' } as const;

/** Draws without what is for working only. */
export function withoutWork(scene: Object3D, draw: () => void): void {
  const hidden = hideFrom(scene, { guides: true, ground: true });
  draw();
  for (const object of hidden) object.visible = true;
}

/** Hides what is not to be in a picture; gives what was hidden. */
export function hideFrom(scene: Object3D, shown: { guides: boolean; ground: boolean }): readonly Object3D[] {
  const hidden: Object3D[] = [];
  scene.traverse((object) => {
    const shows = object.userData.shows as string | undefined;
    const isIn = shows === undefined || (shows === 'guides' && shown.guides) || (shows === 'ground' && shown.ground);
    if (!isIn && object.visible) hidden.push(object);
  });
  for (const object of hidden) object.visible = false;
  return hidden;
}

import { PLACE_DEFAULTS, type PlaceSpec, type SavedCamera } from '../place-spec';
import type { Project } from '../schema';

export const placeOf = ({ place }: Pick<Project, 'place'>): PlaceSpec => place ?? PLACE_DEFAULTS;

export const setPlace = (project: Project, change: Partial<PlaceSpec>): Project => ({
  ...project,
  place: { ...placeOf(project), ...change },
});

const camerasOf = ({ cameras }: Project): readonly SavedCamera[] => cameras ?? [];

export const saveCamera = (project: Project, camera: SavedCamera): Project => ({
  ...project,
  cameras: [...camerasOf(project), camera],
});

export const changeCamera = (project: Project, id: string, change: Partial<SavedCamera>): Project => ({
  ...project,
  cameras: camerasOf(project).map((camera) => (camera.id === id ? { ...camera, ...change } : camera)),
});

export const deleteCamera = (project: Project, id: string): Project => ({
  ...project,
  cameras: camerasOf(project).filter((camera) => camera.id !== id),
});

import { createStore, type StoreApi } from 'zustand';
import { persist } from 'zustand/middleware';

/** How the bent view is drawn: plain and quick, as it would look, or its rows and seams over clay. */
export type PictureName = 'work' | 'show' | 'lines';

/** How somebody likes to see the bent view; goes with the browser, not with a project. */
export interface PictureState {
  readonly picture: PictureName;
  /** With shadows and smooth edges whenever nothing moves; without, for machines to which that is too much. */
  readonly isFine: boolean;
  setPicture(picture: PictureName): void;
  setFine(isFine: boolean): void;
}

export type PictureStore = StoreApi<PictureState>;

export const createPictureStore = (): PictureStore =>
  createStore<PictureState>()(
    persist(
      (set) => ({
        picture: 'show',
        isFine: true,
        setPicture: (picture) => set({ picture }),
        setFine: (isFine) => set({ isFine }),
      }),
      { name: 'rattan-picture', partialize: ({ picture, isFine }) => ({ picture, isFine }) },
    ),
  );

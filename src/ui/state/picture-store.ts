import { createStore, type StoreApi } from 'zustand';
import { persist } from 'zustand/middleware';

/** How the bent view is drawn: plain and quick, as it would look, or its rows and seams over clay. */
export type PictureName = 'work' | 'show' | 'lines';

/** How somebody likes to see the bent view; goes with the browser, not with a project. */
export interface PictureState {
  readonly picture: PictureName;
  setPicture(picture: PictureName): void;
}

export type PictureStore = StoreApi<PictureState>;

export const createPictureStore = (): PictureStore =>
  createStore<PictureState>()(
    persist((set) => ({ picture: 'show', setPicture: (picture) => set({ picture }) }), {
      name: 'rattan-picture',
      partialize: ({ picture }) => ({ picture }),
    }),
  );

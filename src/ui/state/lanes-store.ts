import { createStore, type StoreApi } from 'zustand';
import { persist } from 'zustand/middleware';
import type { LaneSpec } from '../../core/shape/lane-spec';
import { LANE_KINDS, type LaneKindName } from '../straightview/lane-kinds';
import type { QuantityName } from '../fields/quantity';

/** A lane that the straight view shows, and its height in pixels. */
export interface ShownLane {
  readonly kind: LaneKindName;
  readonly height: number;
}

/** A lane that was kept under a name: counted in shares of the reach, for any run. */
export interface LanePreset {
  readonly name: string;
  readonly quantity: QuantityName;
  readonly lane: LaneSpec;
}

/** What somebody likes to see in the straight view, and the lanes that they kept; goes with the browser, not with a project. */
export interface LanesState {
  readonly shown: readonly ShownLane[];
  readonly presets: readonly LanePreset[];
  show(kind: LaneKindName, isShown: boolean): void;
  /** Moves a lane by so many places. */
  move(kind: LaneKindName, by: number): void;
  setHeight(kind: LaneKindName, height: number): void;
  keep(preset: LanePreset): void;
  forget(name: string): void;
}

export type LanesStore = StoreApi<LanesState>;

const START: readonly LaneKindName[] = ['pieces', 'tightness', 'roll', 'gauge', 'stretch'];
const shownOf = (kind: LaneKindName): ShownLane => ({ kind, height: LANE_KINDS[kind].height });

export const createLanesStore = (): LanesStore =>
  createStore<LanesState>()(
    persist(
      (set) => ({
        shown: START.map(shownOf),
        presets: [],
        show: (kind, isShown) =>
          set(({ shown }) => {
            const others = shown.filter((lane) => lane.kind !== kind);
            return { shown: isShown ? [...others, shownOf(kind)] : others };
          }),
        move: (kind, by) =>
          set(({ shown }) => {
            const at = shown.findIndex((lane) => lane.kind === kind);
            const others = shown.filter((lane) => lane.kind !== kind);
            const to = Math.min(Math.max(at + by, 0), others.length);
            return at < 0 ? {} : { shown: others.toSpliced(to, 0, shown[at]) };
          }),
        setHeight: (kind, height) =>
          set(({ shown }) => ({
            shown: shown.map((lane) =>
              lane.kind === kind ? { kind, height: Math.min(Math.max(height, LANE_KINDS[kind].least), 400) } : lane,
            ),
          })),
        keep: (preset) =>
          set(({ presets }) => ({ presets: [...presets.filter(({ name }) => name !== preset.name), preset] })),
        forget: (name) => set(({ presets }) => ({ presets: presets.filter((preset) => preset.name !== name) })),
      }),
      {
        name: 'rattan-lanes',
        partialize: ({ shown, presets }) => ({ shown, presets }),
        // What another build kept may name lanes that there are not.
        merge: (kept, now) => {
          const { shown = now.shown, presets = [] } = (kept ?? {}) as Partial<LanesState>;
          return { ...now, presets, shown: shown.filter(({ kind }) => kind in LANE_KINDS) };
        },
      },
    ),
  );

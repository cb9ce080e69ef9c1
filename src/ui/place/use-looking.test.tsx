/** @jest-environment ./scripts/page-environment.mjs */
import { act } from '@testing-library/react';
import { PerspectiveCamera, Vector3 } from 'three';
import { saltgrassLanding } from '../../project/samples';
import type { Sight } from '../pictures/lens';
import type { RunResult } from '../state/results-store';
import { app } from '../testing/app';
import { useLooking } from './use-looking';

jest.mock('../../engine/compute-client', () => ({ Stopped: class Stopped extends Error {} }));

const project = saltgrassLanding();
const long = (length: number) => ({ path: { length } }) as RunResult;

describe('looking', () => {
  it('from a kept camera is free and with perspective, and again when asked again', () => {
    const { done, session } = app({}, project);
    act(() => session.getState().set({ view: 'above', isFlat: true }));
    const [camera] = project.cameras!;
    for (const count of [1, 2]) {
      done(useLooking, ({ lookFrom }) => lookFrom(camera));
      const { position, target } = camera;
      expect(session.getState()).toMatchObject({ view: 'free', isFlat: false, lookFrom: { position, target, count } });
    }
  });

  it('is kept to a millimetre by a name of its own, and taken back by one undo; where nothing is drawn nothing is kept', () => {
    const { done, document, lens, project: now } = app({}, project);
    done(useLooking, ({ keep }) => keep());
    expect(now()).toEqual(project);
    const camera = new PerspectiveCamera();
    camera.position.set(1.23456, 2, -1e6);
    camera.updateMatrixWorld();
    lens.attach(() => ({ camera, target: new Vector3(0.0004, 0, 7) }) as unknown as Sight);
    done(useLooking, ({ keep }) => keep());
    const made = now().cameras!.at(-1)!;
    expect(made).toMatchObject({ name: 'Camera 1', position: [1.235, 2, -1e6], target: [0, 0, 7] }); // prettier-ignore
    document.temporal.getState().undo();
    expect(now().cameras).toEqual(project.cameras);
  });

  it('along a run takes half a minute, at no less than a crawl and no more than 12 m/s', () => {
    const { done, session, results } = app({}, project);
    const [run] = project.runs;
    for (const [length, speed] of [
      [30, 1],
      [128.27, 4.3],
      [0.02, 0.01],
      [50_000, 12],
    ]) {
      act(() => results.setState({ results: new Map([[run.id, long(length)]]) }));
      done(useLooking, ({ ride }) => ride(run));
      expect(session.getState().ride).toEqual({ speed, isHeld: false, station: 0, count: 1 });
    }
  });
});

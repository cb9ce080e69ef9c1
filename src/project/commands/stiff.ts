import type { StiffStretch } from '../../core/curve/stiffen-curve';
import type { Project } from '../schema';
import { setStep } from './runs';

/** The stretches of a run that stay straight. */
export const setStiff = (project: Project, id: string, stiff: readonly StiffStretch[]): Project =>
  setStep(project, id, 'shape', { stiff: stiff.length > 0 ? stiff : undefined });

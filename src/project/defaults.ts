import type { RunJob } from '../core/bending/run-spec';
import { NO_VARIATION } from '../core/laying/variation';
import type { FinishSpec } from '../core/segment/finish/finish-spec';
import { maker, type MakerName, type MakerSpec } from '../core/segment/registry';
import { PREPARE_DEFAULTS, type PrepareSpec } from '../core/segment/segment-spec';

/** How a new run is laid, bent and grown. */
export const JOB_DEFAULTS: RunJob = {
  laying: {
    rule: 'fillStretch',
    count: 10,
    countFit: 'stretch',
    oneFit: 'reach',
    gap: 0,
    from: null,
    to: null,
    variation: NO_VARIATION,
  },
  bending: {
    frames: { rule: 'upright', up: [0, 1, 0] },
    roll: 0,
    turns: 0,
    gauge: 1,
    pastEnd: 'straightOn',
    slicing: { by: 'auto' },
    tolerance: null,
  },
  motion: { growth: 'stretchOut', seconds: 4 },
};

/** Made segments lie along +x already. */
export const MADE_PREPARE: PrepareSpec = { ...PREPARE_DEFAULTS, forward: '+x', up: '+y' };

export const makerDefaults = (kind: MakerName): MakerSpec => maker(kind).defaults as MakerSpec;

/** A part without a texture, as a colour picker finds it. */
export const FINISH_DEFAULTS: Omit<FinishSpec, 'part'> = {
  colour: '#b0a58f',
  roughness: 0.9,
  metalness: 0,
  bump: 1,
  texture: null,
  repeat: 1,
  turn: 0,
  shiftAlong: 0,
  shiftRound: 0,
  fit: 'whole',
};

/** The steps of the ticket, in the order in which people work, and what they are called. */
export const STEP_TITLES = {
  segment: 'Segment',
  path: 'Path',
  laying: 'Laying',
  bending: 'Bending',
  motion: 'Motion',
  dressing: 'Dressing',
} as const;

export type StepName = keyof typeof STEP_TITLES;
export const STEPS = Object.keys(STEP_TITLES) as readonly StepName[];

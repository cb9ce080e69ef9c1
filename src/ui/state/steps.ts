/** The steps of the ticket, in the order in which people work. */
export const STEPS = ['segment', 'path', 'laying', 'bending', 'motion'] as const;
export type StepName = (typeof STEPS)[number];

import bezier from 'bezier-easing';
import { z } from 'zod';
import { defineEasing } from '../easing';

type Handles = readonly [number, number, number, number];

/** An easing by a cubic from (0, 0) to (1, 1) with these two handles (CSS Easing Functions Level 1, 2.2). */
const named = <K extends string>(kind: K, label: string, hint: string, handles: Handles) => {
  const at = bezier(...handles);
  const schema = z.strictObject({ kind: z.literal(kind) });
  return defineEasing({
    ...{ kind, label, hint, schema, fields: [] },
    defaults: { kind },
    at: (_, share) => at(share),
  });
};

export const easeIn = named('easeIn', 'Slow to begin', 'Gathers pace', [0.42, 0, 1, 1]);
export const easeOut = named('easeOut', 'Slow to end', 'Loses pace', [0, 0, 0.58, 1]);
export const easeBoth = named('easeBoth', 'Slow at both ends', 'Gathers pace and loses it', [0.42, 0, 0.58, 1]);

const share = (key: string, label: string) =>
  ({ input: 'number', key, label, unit: 'ratio', step: 0.05, least: 0, most: 1 }) as const;
const beyond = (key: string, label: string) => ({ ...share(key, label), least: -5, most: 5 }) as const;

export const curve = defineEasing({
  kind: 'curve',
  label: 'Own curve',
  hint: 'By two handles of your own',
  schema: z.strictObject({
    kind: z.literal('curve'),
    /** Shares of the time, and of the way. */
    x1: z.number().min(0).max(1),
    y1: z.number().min(-5).max(5),
    x2: z.number().min(0).max(1),
    y2: z.number().min(-5).max(5),
  }),
  defaults: { kind: 'curve', x1: 0.25, y1: 0.1, x2: 0.25, y2: 1 },
  fields: [
    share('x1', 'First handle, time'),
    beyond('y1', 'First handle, way'),
    share('x2', 'Second handle, time'),
    beyond('y2', 'Second handle, way'),
  ],
  at: ({ x1, y1, x2, y2 }, at) => bezier(x1, y1, x2, y2)(at),
});

import { z } from 'zod';

const loose = z.record(z.string(), z.unknown());
export type Loose = z.infer<typeof loose>;

/** What the file says, or nothing where it is no object: what is wrong is told when the whole is checked. */
export const objectOf = (value: unknown): Loose => loose.safeParse(value).data ?? {};

export const isObject = (value: unknown): value is Loose => loose.safeParse(value).success;

/** A short random id for a new item of a project. */
export const newId = (): string => crypto.randomUUID().replaceAll('-', '').slice(0, 12);

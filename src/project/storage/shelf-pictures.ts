import { database } from './database';

const keyOf = (project: string): string => `picture:${project}`;

/** Keeps how a project looks, as a data URL. */
export async function keepPicture(project: string, url: string): Promise<void> {
  await (await database()).put('app', url, keyOf(project));
}

export const pictureOf = async (project: string): Promise<string | undefined> => (await database()).get('app', keyOf(project)); // prettier-ignore

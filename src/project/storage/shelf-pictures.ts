import { database } from './database';

/** Where among the app's own things the picture of a project is. */
export const pictureKey = (project: string): string => `picture:${project}`;

/** Keeps how a project looks, as a data URL. */
export async function keepPicture(project: string, url: string): Promise<void> {
  await (await database()).put('app', url, pictureKey(project));
}

export const pictureOf = async (project: string): Promise<string | undefined> => (await database()).get('app', pictureKey(project)); // prettier-ignore

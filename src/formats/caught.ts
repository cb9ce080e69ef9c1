import { fail, type Result } from '../core/math/result';

/** The last net below a reader: what it throws, against all care, is told by the file's name as `file.unreadable`. */
export async function caught<T>(file: string, read: () => Promise<Result<T>> | Result<T>): Promise<Result<T>> {
  try {
    return await read();
  } catch (error) {
    return fail('file.unreadable', { file, reason: error instanceof Error ? error.message : String(error) });
  }
}

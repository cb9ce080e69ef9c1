import { saveFiles } from '../save-file';

/** Saves rows as CSV: the first line names the columns, numbers with a point. */
export async function saveTable(
  name: string,
  rows: readonly Readonly<Record<string, string | number>>[],
): Promise<void> {
  const { default: papa } = await import('papaparse');
  const text = papa.unparse(rows as Record<string, string | number>[], { newline: '\n' });
  const bytes = new TextEncoder().encode(`${text}\n`);
  saveFiles([{ name: `${name}.csv`, bytes }], name, 'text/csv');
}

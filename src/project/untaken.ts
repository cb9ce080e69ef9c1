/** A name that none of some has: itself, or with a number behind it. */
export function untaken(name: string, taken: readonly (string | undefined)[]): string {
  const base = name.replace(/ \d+$/, '').slice(0, 190);
  const known = new Set(taken);
  if (!known.has(name)) return name;
  let n = 2;
  while (known.has(`${base} ${n}`)) n++;
  return `${base} ${n}`;
}

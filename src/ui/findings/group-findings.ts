import type { Finding } from '../../core/findings/registry';

/** Findings that have one cause: of one check, and about one guide where they are about any. */
export interface FindingGroup {
  /** What is set aside when the group is. */
  readonly key: string;
  /** In the order of their stations; at least one. */
  readonly findings: readonly Finding[];
}

const keyOf = ({ check, guide, run }: Finding): string => [check, guide ?? run].filter(Boolean).join(':');

/** One group a cause, those that were set aside for the run left out. */
export function groupFindings(findings: readonly Finding[], aside: readonly string[] = []): readonly FindingGroup[] {
  const groups = new Map<string, Finding[]>();
  for (const finding of findings) {
    const key = keyOf(finding);
    if (!aside.includes(key)) groups.set(key, [...(groups.get(key) ?? []), finding]);
  }
  return [...groups].map(([key, list]) => ({
    key,
    findings: list.toSorted((a, b) => (a.at?.station ?? 0) - (b.at?.station ?? 0)),
  }));
}

/** How many causes of findings are set aside. */
export const asideCount = (findings: readonly Finding[], aside: readonly string[] = []): number =>
  new Set(findings.map(keyOf).filter((key) => aside.includes(key))).size;

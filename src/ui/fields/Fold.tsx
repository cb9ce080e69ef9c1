'use client';

import { useFold } from '../state/app-context';
import { FoldLine, type FoldLineProps } from './FoldLine';

/** Fields that are seldom needed; it stays as it was left. */
export function Fold({ title, ...shown }: Omit<FoldLineProps, 'isOpen' | 'onToggle'>) {
  const [isOpen, setOpen] = useFold(title);
  return <FoldLine {...{ title, isOpen, ...shown }} onToggle={() => setOpen(!isOpen)} />;
}

'use client';

import { useNotify } from '../state/app-context';

import { useRef, useState } from 'react';
import { setLength, type LengthManner } from '../../core/edit/set-length';
import type { CurveSpec } from '../../core/curve/registry';
import { ChoiceField } from '../fields/ChoiceField';
import { NumberField } from '../fields/NumberField';

export interface LengthFieldProps {
  readonly curve: CurveSpec;
  /** Metres. */
  readonly length: number;
  readonly isClosed: boolean;
  readonly onChange: (changed: CurveSpec) => void;
}

/** The path's length, to be set: at an end, or all of it scaled. */
export function LengthField({ curve, length, isClosed, onChange }: LengthFieldProps) {
  const notify = useNotify();
  const [chosen, setManner] = useState<LengthManner>('end');
  const manner = isClosed ? 'scale' : chosen;
  // Shorter and longer again while it is dragged is the path that was there, not one cut off.
  const edit = useRef<{ base: CurveSpec; made: CurveSpec; manner: LengthManner }>(undefined);
  const put = (value: number) => {
    const last = edit.current;
    const base = last && last.made === curve && last.manner === manner ? last.base : curve;
    const made = setLength(base, value, manner);
    if (!made) return void notify('This path cannot be made that long at its end. Scale it.', { kind: 'warning' });
    edit.current = { base, made, manner };
    onChange(made);
  };
  return (
    <>
      <NumberField label="Length" quantity="length" step={0.1} min={1e-3} max={1e6} value={length} onChange={put} />
      {!isClosed && (
        <ChoiceField
          label="Longer or shorter"
          value={manner}
          choices={[
            { value: 'end', label: 'at its end' },
            { value: 'start', label: 'at its start' },
            { value: 'scale', label: 'all scaled' },
          ]}
          onChange={setManner}
        />
      )}
    </>
  );
}

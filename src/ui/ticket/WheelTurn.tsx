'use client';

import { useState } from 'react';
import { beltWheels } from '../../core/curve/belt-wheels';
import type { CurveSpec } from '../../core/curve/registry';
import { setMotion } from '../../project/commands/motion';
import type { Run } from '../../project/schema';
import { ChoiceField } from '../fields/ChoiceField';
import { NumberField } from '../fields/NumberField';
import { useEdit, useProject } from '../state/app-context';

/** Of a belt: what drives it, said as the turning of one of its wheels. Without slip a wheel of radius r that turns by an angle carries it on by r times that. */
export function WheelTurn({ run: { id, path, motion } }: { run: Run }) {
  const edit = useEdit();
  const curve = useProject((s) => s.project.paths.find((own) => own.id === path)?.curve) as CurveSpec | undefined;
  const [chosen, setChosen] = useState(0);
  const wheels = curve?.kind === 'belt' ? beltWheels(curve) : [];
  const wheel = wheels[Math.min(chosen, wheels.length - 1)];
  if (!wheel) return null;
  const { radius, way } = wheel;
  const put = (change: { speed: number } | { shift: number }) => edit((project) => setMotion(project, id, change));
  const perTurn = 2 * Math.PI * radius * way;
  return (
    <>
      <ChoiceField
        label="It is driven by"
        value={String(wheels.indexOf(wheel))}
        choices={wheels.map((_, i) => ({ value: String(i), label: `wheel ${i + 1}` }))}
        onChange={(value) => setChosen(Number(value))}
      />
      <NumberField
        label="Turns a minute"
        quantity="plain"
        step={1}
        min={-1e5}
        max={1e5}
        value={Number(((motion.speed * 60) / perTurn).toPrecision(9))}
        initial={0}
        onChange={(turns) => put({ speed: (turns * perTurn) / 60 })}
      />
      <NumberField
        of={['runs', id, 'motion', 'shift']}
        label="Has turned by"
        quantity="angle"
        step={Math.PI / 36}
        min={-1e6}
        max={1e6}
        value={Number((motion.shift / (radius * way)).toPrecision(12))}
        initial={0}
        onChange={(angle) => put({ shift: angle * radius * way })}
      />
    </>
  );
}

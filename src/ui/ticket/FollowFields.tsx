'use client';

import type { z } from 'zod';
import { FOLLOWERS, type FollowerName, type FollowsSpec } from '../../core/shape/follower-registry';
import { setStep } from '../../project/commands/runs';
import type { Run } from '../../project/schema';
import { KindFields } from '../fields/KindFields';
import { SwitchField } from '../fields/SwitchField';
import { useEdit } from '../state/app-context';
import type { StepProps } from './step-props';

/** What of a run follows from how its path bends. */
export function FollowFields({ run, result }: Pick<StepProps, 'run' | 'result'>) {
  const edit = useEdit();
  const follows: FollowsSpec = run.shape.follows ?? {};
  const put = (name: FollowerName, options: unknown) =>
    edit((project) => {
      const next = { ...follows, [name]: options };
      const isAny = Object.values(next).some((own) => own !== undefined);
      return setStep(project, run.id, 'shape', { follows: isAny ? next : undefined });
    });
  return (Object.keys(FOLLOWERS) as FollowerName[]).map((name) => {
    const { label, schema, defaults, fields } = FOLLOWERS[name];
    const options = follows[name] as (Run['shape'] & object) | undefined;
    return (
      <div key={name}>
        <SwitchField
          label={label}
          value={options !== undefined}
          onChange={(on) => put(name, on ? { ...(defaults as object), ...startOf(name, result) } : undefined)}
        />
        {options && (
          <KindFields
            kind={{ schema: schema as z.ZodType<object>, fields }}
            of={['runs', run.id, 'shape', 'follows', name]}
            values={options}
            onChange={(values) => put(name, values)}
          />
        )}
      </div>
    );
  });
}

/** What fits the run at hand better than what is so of all: the bend that its segment can just follow. */
function startOf(name: FollowerName, result: StepProps['result']): object {
  if (!result) return {};
  const { min, max } = result.segment.box;
  const half = Math.max(max[1], -min[1], max[2], -min[2]);
  const round = (x: number) => Number(x.toPrecision(2));
  return name === 'thin' ? { radius: round(half * 2), ease: round(half * 4) } : { ease: round(half * 3) };
}

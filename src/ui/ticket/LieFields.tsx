'use client';

import { Box, Button } from '@mui/material';
import type { Axis, PrepareSpec } from '../../core/segment/segment-spec';
import { setPrepare } from '../../project/commands/segments';
import type { Segment } from '../../project/schema';
import { Fold } from '../fields/Fold';
import { AxisChoice } from '../segment/AxisChoice';
import { useEdit } from '../state/app-context';
import type { StepProps } from './step-props';

/** Which of the segment's directions points forward and which up, changed in place: what is laid keeps its stations. */
export function LieFields({ segment, result }: { segment: Segment; result: StepProps['result'] }) {
  const edit = useEdit();
  if (!result) return null;
  const { prepare } = segment;
  const { forward, up } = result.segment.axes;
  const put = (change: Partial<PrepareSpec>) => edit((project) => setPrepare(project, segment.id, change));
  const isNamed = forward !== 'principal' && up !== 'principal';
  const turns: readonly (readonly [string, Partial<PrepareSpec>])[] = [
    ['End for end', { reversed: !prepare.reversed }],
    ['Roll by 90°', { quarters: ((prepare.quarters + 1) % 4) as PrepareSpec['quarters'] }],
    ['Left for right', { mirrored: !prepare.mirrored }],
    ...(isNamed ? [['Swap F and U', { forward: up, up: forward }] as const] : []),
  ];
  return (
    <Fold title="Which way it lies" summary={isNamed ? `F ${forward}, U ${up}` : 'along its body'}>
      <Box sx={{ display: 'grid', gap: 2, pt: 1 }}>
        {(['forward', 'up'] as const).map((which) => (
          <AxisChoice<Axis>
            key={which}
            label={which === 'forward' ? 'Forward (F)' : 'Up (U)'}
            value={result.segment.axes[which] as Axis}
            found={[]}
            // The other direction may not be along the same line.
            onChange={(axis) => {
              const other = which === 'forward' ? up : forward;
              const free = other[1] === axis[1] ? 'auto' : (other as Axis);
              put(which === 'forward' ? { forward: axis, up: free } : { up: axis, forward: free });
            }}
          />
        ))}
        <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 2 }}>
          {turns.map(([label, change]) => (
            <Button key={label} variant="outlined" color="secondary" onClick={() => put(change)}>
              {label}
            </Button>
          ))}
        </Box>
      </Box>
    </Fold>
  );
}

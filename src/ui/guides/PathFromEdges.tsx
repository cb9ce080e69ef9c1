'use client';

import { Box, Button, LinearProgress, Typography } from '@mui/material';
import { useEffect, useState } from 'react';
import { thinned } from '../../core/curve/tidy/thin-out';
import { MAX_PATH_POINTS } from '../../core/curve/path-spec';
import type { EdgeChain } from '../../core/guides/edge-chains';
import type { Result } from '../../core/math/result';
import { changeCurve } from '../../project/commands/paths';
import type { Guide } from '../../project/schema';
import { NumberField } from '../fields/NumberField';
import { metres } from '../format';
import { useEdit, useRun, useSet } from '../state/app-context';
import { useAsk } from '../state/use-ask';

/** A traced edge keeps to the mesh's within this share of its length. */
const TRACE_SHARE = 1 / 5000;

/** The guide's sharp and open edges as chains: pointing shows one, a click makes it the selected run's path. */
export function PathFromEdges({ guide }: { guide: Guide }) {
  const [isOpen, setOpen] = useState(false);
  const run = useRun();
  const set = useSet();
  if (!run) return null;
  return (
    <Box component="section" aria-label="Path from its edges">
      <Button
        variant="outlined"
        color="secondary"
        fullWidth
        aria-expanded={isOpen}
        onClick={() => {
          setOpen(!isOpen);
          set({ hint: [] });
        }}
      >
        Trace one of its edges
      </Button>
      {isOpen && <Chains guide={guide} path={run.path} />}
    </Box>
  );
}

function Chains({ guide, path }: { guide: Guide; path: string }) {
  const edit = useEdit();
  const set = useSet();
  const ask = useAsk();
  const [sharp, setSharp] = useState(Math.PI / 6);
  const [chains, setChains] = useState<readonly EdgeChain[]>();
  useEffect(() => {
    let isLive = true;
    const find = async () => {
      const found = await ask((api) => api.edges(guide, sharp) as Promise<Result<readonly EdgeChain[]>>);
      if (isLive) setChains(found ?? []);
    };
    void find();
    return () => {
      isLive = false;
    };
  }, [guide, sharp, ask]);
  const show = ({ points, closed }: EdgeChain) => set({ hint: closed ? [...points, points[0]!] : points });
  const take = ({ points, closed, length }: EdgeChain) => {
    const traced = thinned(
      points.map((position) => ({ position })),
      length * TRACE_SHARE,
      { most: MAX_PATH_POINTS },
    );
    edit((project) => changeCurve(project, path, () => ({ kind: 'straight', closed, points: traced })));
    set({ hint: [], point: undefined, step: 'path' });
  };
  return (
    <Box sx={{ display: 'grid', mt: 1 }}>
      <NumberField
        label="Sharper than"
        quantity="angle"
        step={Math.PI / 36}
        min={0.01}
        max={Math.PI}
        value={sharp}
        onChange={setSharp}
      />
      {chains?.length === 0 && (
        <Typography variant="body2" color="text.secondary">
          No edge of it is open or sharper than that.
        </Typography>
      )}
      {!chains && <LinearProgress aria-label="Looking for edges" />}
      {chains?.map((chain, i) => (
        <Button
          key={i}
          variant="text"
          color="secondary"
          size="small"
          sx={{ justifyContent: 'space-between', fontWeight: 400 }}
          onPointerEnter={() => show(chain)}
          onFocus={() => show(chain)}
          onPointerLeave={() => set({ hint: [] })}
          onClick={() => take(chain)}
        >
          <span>Edge {i + 1}</span>
          <span>
            {metres(chain.length)}
            {chain.closed ? ', closed' : ''}
          </span>
        </Button>
      ))}
    </Box>
  );
}

'use client';

import { Box, Button, LinearProgress, Typography } from '@mui/material';
import { useEffect, useState } from 'react';
import { thinned } from '../../core/edit/tidy/thin-out';
import { MAX_PATH_POINTS } from '../../core/curve/path-spec';
import { joinChains, type EdgeChain } from '../../core/guides/join-chains';
import { addPath, changeCurve } from '../../project/commands/paths';
import { newId } from '../../project/new-id';
import type { Guide } from '../../project/schema';
import { NumberField } from '../fields/NumberField';
import { metres } from '../format';
import { useEdit, useNotify, useRun, useSet } from '../state/app-context';
import { useAsk } from '../state/use-ask';
import { useNewRun } from '../state/use-new-run';

/** A traced edge keeps to the mesh's within this share of its length. */
const TRACE_SHARE = 1 / 5000;

/** Radians: edges that turn by more are shown to begin with. */
const SHARP = Math.PI / 6;

/** The guide's sharp and open edges as chains: pointing shows one, a click makes it the selected run's path. */
export function PathFromEdges({ guide }: { guide: Guide }) {
  const [isOpen, setOpen] = useState(false);
  const set = useSet();
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
      {isOpen && <Chains guide={guide} />}
    </Box>
  );
}

function Chains({ guide }: { guide: Guide }) {
  const notify = useNotify();
  const edit = useEdit();
  const run = useRun();
  const { addMade } = useNewRun();
  const [picked, setPicked] = useState<readonly number[]>([]);
  const set = useSet();
  const ask = useAsk();
  const [sharp, setSharp] = useState(SHARP);
  const [chains, setChains] = useState<readonly EdgeChain[]>();
  useEffect(() => {
    let isLive = true;
    const find = async () => {
      const found = await ask((api) => api.edges(guide, sharp));
      if (!isLive) return;
      setChains(found ?? []);
      setPicked([]);
    };
    void find();
    return () => {
      isLive = false;
    };
  }, [guide, sharp, ask]);
  const show = ({ points, closed }: EdgeChain) => set({ hint: closed ? [...points, points[0]] : points });
  const take = ({ points, closed, length }: EdgeChain) => {
    const traced = thinned(
      points.map((position) => ({ position })),
      length * TRACE_SHARE,
      { most: MAX_PATH_POINTS },
    );
    const curve = { kind: 'straight' as const, closed, points: traced };
    if (run) edit((project) => changeCurve(project, run.path, () => curve));
    else {
      const id = newId();
      edit((project) => addPath(project, { id, name: `${guide.name.slice(0, 180)} edge`, curve }));
      addMade('rail', { path: id });
    }
    set({ hint: [], point: undefined, step: 'path', tool: 'shape' });
  };
  const join = () => {
    const joined = joinChains(picked.map((i) => chains![i]));
    if (joined) take(joined);
    else notify('These edges do not meet end to end. Choose edges that do.', { kind: 'warning' });
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
        initial={SHARP}
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
          sx={{ justifyContent: 'space-between', fontWeight: picked.includes(i) ? 650 : 400 }}
          onPointerEnter={() => show(chain)}
          onFocus={() => show(chain)}
          onPointerLeave={() => set({ hint: [] })}
          aria-pressed={picked.includes(i)}
          onClick={(event) => {
            if (!event.ctrlKey && !event.metaKey) return take(chain);
            setPicked(picked.includes(i) ? picked.filter((k) => k !== i) : [...picked, i]);
          }}
        >
          <span>Edge {i + 1}</span>
          <span>
            {metres(chain.length)}
            {chain.closed ? ', closed' : ''}
          </span>
        </Button>
      ))}
      {chains && chains.length > 1 && (
        <Typography variant="body2" color="text.secondary">
          Ctrl with a click chooses several to join.
        </Typography>
      )}
      {picked.length > 1 && (
        <Button variant="outlined" color="secondary" onClick={join}>
          Join and trace {picked.length} edges
        </Button>
      )}
    </Box>
  );
}

'use client';

import { PREPARE_DEFAULTS } from '../../core/segment/segment-spec';
import { CLEAN_DEFAULTS } from '../../core/mesh/clean/clean-spec';
import { Box, Typography } from '@mui/material';
import type { MeshFigures } from '../../core/mesh/clean/figures';
import type { CleanSpec } from '../../core/mesh/clean/clean-spec';
import { ChoiceField } from '../fields/ChoiceField';
import { NumberField } from '../fields/NumberField';
import { SwitchField } from '../fields/SwitchField';
import { metres, whole } from '../format';
import type { PrepareFieldsProps } from './TurnFields';

const DEGREE = Math.PI / 180;

const ROWS: readonly { readonly key: keyof MeshFigures; readonly label: string }[] = [
  { key: 'vertices', label: 'Vertices' },
  { key: 'triangles', label: 'Triangles' },
  { key: 'looseParts', label: 'Loose parts' },
  { key: 'openEdges', label: 'Open edges' },
  { key: 'crowdedEdges', label: 'Edges with more than two faces' },
];

const said = (value: number | boolean): string => (typeof value === 'number' ? whole(value) : value ? 'yes' : 'no');

/** Radians: edges that turn by more stay sharp to begin with. */
const CREASE = 50 * DEGREE;
/** Metres within which vertices of a segment so long count as one to begin with. */
const weldOf = (length = 1): number => Math.max(length * 1e-5, 1e-6);

/** Cleaning, with figures before and after. */
export function CleanFields({ prepare, view, onChange }: PrepareFieldsProps) {
  const { clean, ends, seams } = prepare;
  const set = (change: Partial<CleanSpec>) => onChange({ clean: { ...clean, ...change } });
  const gap = view?.seam.gap;
  return (
    <Box sx={{ display: 'grid', gap: 3 }}>
      {view && (
        <Box
          component="table"
          sx={{
            width: '100%',
            borderSpacing: 0,
            '& td, & th': { p: '3px 0', fontSize: 13, fontWeight: 400 },
            '& td': { textAlign: 'right' },
            '& th': { textAlign: 'left', color: 'text.secondary' },
          }}
        >
          <thead>
            <tr>
              <th />
              <Box component="td" sx={{ color: 'text.secondary' }}>
                before
              </Box>
              <Box component="td" sx={{ color: 'text.secondary' }}>
                after
              </Box>
            </tr>
          </thead>
          <tbody>
            {ROWS.map(({ key, label }) => (
              <tr key={key}>
                <th scope="row">{label}</th>
                <td>{said(view.figures.before[key])}</td>
                <td>{said(view.figures.after[key])}</td>
              </tr>
            ))}
          </tbody>
        </Box>
      )}
      <Box>
        <SwitchField
          label="Weld doubled vertices"
          value={clean.weld !== null}
          onChange={(on) => set({ weld: on ? weldOf(view?.length) : null })}
        />
        {clean.weld !== null && (
          <NumberField
            label="within"
            quantity="length"
            step={0.0001}
            min={0}
            max={10}
            value={clean.weld}
            initial={weldOf(view?.length)}

            onChange={(weld) => set({ weld })}
          />
        )}
        <NumberField
          label="Drop parts smaller than"
          quantity="percent"
          step={0.001}
          min={0}
          max={1}
          value={clean.specks}
          initial={CLEAN_DEFAULTS.specks}
          onChange={(specks) => set({ specks })}
        />
        <SwitchField label="Turn inside out" value={clean.insideOut} onChange={(insideOut) => set({ insideOut })} />
        <NumberField
          label="Triangles to keep"
          quantity="percent"
          step={0.05}
          min={0.001}
          max={1}
          value={clean.thin}
          initial={CLEAN_DEFAULTS.thin}
          onChange={(thin) => set({ thin })}
        />
        <ChoiceField
          label="Smooth subdivision"
          value={String(clean.subdivide)}
          choices={[
            { value: '0', label: 'none' },
            { value: '1', label: 'once' },
            { value: '2', label: 'twice' },
          ]}
          onChange={(value) => set({ subdivide: Number(value) as CleanSpec['subdivide'] })}
        />
        <SwitchField
          label="Compute normals anew"
          value={clean.crease !== null}
          onChange={(on) => set({ crease: on ? CREASE : null })}
        />
        {clean.crease !== null && (
          <NumberField
            label="Edges sharper than"
            quantity="angle"
            step={DEGREE}
            min={0}
            max={Math.PI}
            value={clean.crease}
            initial={CREASE}
            onChange={(crease) => set({ crease })}
          />
        )}
        <ChoiceField
          label="Faces at both ends"
          value={ends}
          choices={[
            { value: 'keep', label: 'keep' },
            { value: 'open', label: 'drop' },
            { value: 'close', label: 'close' },
          ]}
          onChange={(value) => onChange({ ends: value })}
        />
        <NumberField
          label="Match seams within"
          quantity="length"
          step={0.001}
          min={0}
          max={100}
          value={seams}
          initial={PREPARE_DEFAULTS.seams}
          onChange={(value) => onChange({ seams: value })}
        />
      </Box>
      <Typography variant="body2" color="text.secondary">
        {gap === undefined
          ? 'The ends have too many or no corners to be compared.'
          : gap < 1e-6
            ? 'The end fits the start of the next piece.'
            : `The end lies up to ${metres(gap)} off the start of the next piece.`}
      </Typography>
    </Box>
  );
}

import { InputBase } from '@mui/material';

/** Finds rows of a list by their names. */
export const FindField = (props: { label: string; value: string; onChange: (value: string) => void }) => (
  <InputBase
    type="search"
    value={props.value}
    placeholder="Find"
    onChange={({ target }) => props.onChange(target.value)}
    inputProps={{ 'aria-label': props.label }}
    sx={{ fontSize: 12, flex: 1, minWidth: 0, mx: 3, height: 24, borderBottom: '1px solid', borderColor: 'divider' }}
  />
);

'use client';

import ExpandMoreRounded from '@mui/icons-material/ExpandMoreRounded';
import { Button } from '@mui/material';
import { useState } from 'react';
import type { Path } from '../../project/schema';
import { RowMenu, type MenuPlace } from './RowMenu';
import { usePathMenu } from './use-path-menu';

/** Reversing, cutting, joining, and files of the path. */
export function MoreMenu({ path }: { path: Path }) {
  const items = usePathMenu();
  const [place, setPlace] = useState<MenuPlace>();
  return (
    <>
      <Button
        variant="outlined"
        color="secondary"
        aria-haspopup="menu"
        endIcon={<ExpandMoreRounded />}
        onClick={({ currentTarget }) => {
          const { left, bottom } = currentTarget.getBoundingClientRect();
          setPlace({ x: left, y: bottom });
        }}
      >
        More
      </Button>
      {place && <RowMenu items={items(path)} place={place} onClose={() => setPlace(undefined)} />}
    </>
  );
}

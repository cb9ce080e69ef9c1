'use client';

import { styled } from '@mui/material/styles';
import { MaterialDesignContent } from 'notistack';

/** Notices in ink, or in madder red where something is wrong. */
const Notice = styled(MaterialDesignContent)(({ theme }) => ({
  '&.notistack-MuiContent': {
    backgroundColor: theme.vars!.palette.secondary.main,
    color: theme.vars!.palette.background.paper,
    fontFamily: theme.typography.fontFamily,
    fontSize: 13,
    maxWidth: 560,
  },
  '&.notistack-MuiContent-error': { backgroundColor: theme.vars!.palette.error.main },
}));

export const NOTICES = { default: Notice, info: Notice, success: Notice, warning: Notice, error: Notice };

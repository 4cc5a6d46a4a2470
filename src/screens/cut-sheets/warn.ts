// A short warning at the edge of the screen.

import { enqueueSnackbar } from '../shared/snackbar';

export const warn = (what: string): void => void enqueueSnackbar(what, { variant: 'warning' });

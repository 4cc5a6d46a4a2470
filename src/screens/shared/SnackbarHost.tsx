// Where short messages appear, three at a time.

import { enqueueSnackbar, SnackbarProvider } from 'notistack';
import { useEffect } from 'react';
import { startShowing } from './snackbar';

export default function SnackbarHost() {
  useEffect(() => startShowing((message, options) => void enqueueSnackbar(message, options)), []);
  return (
    <SnackbarProvider maxSnack={3} anchorOrigin={{ vertical: 'bottom', horizontal: 'right' }} autoHideDuration={7000} />
  );
}

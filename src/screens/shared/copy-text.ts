// A sentence to be pasted into a message.

import { enqueueSnackbar } from './snackbar';

export const copyText = (text: string): void =>
  void navigator.clipboard.writeText(text).then(
    () => enqueueSnackbar(`Copied: ${text}`),
    () =>
      enqueueSnackbar('The browser does not let it be copied. Open the order and select the sentence.', {
        variant: 'error',
      }),
  );

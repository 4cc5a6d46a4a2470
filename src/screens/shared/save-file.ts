// Hands a file to the browser's downloads, and says so.

import { enqueueSnackbar } from './snackbar';

export function saveFile(file: Blob, fileName: string): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(file);
  link.download = fileName;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
  enqueueSnackbar(`${fileName} is in your downloads.`);
}

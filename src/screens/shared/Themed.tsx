// The look of every page, light or dark as this browser chose.

import CssBaseline from '@mui/material/CssBaseline';
import { ThemeProvider } from '@mui/material/styles';
import type { ReactNode } from 'react';
import { theme } from '../../theme/theme';
import { setCookie } from './settings';

const modeStorage = () => ({
  get: (fallback: string) =>
    typeof document === 'undefined' ? fallback : (/(?:^|; )theme=(light|dark)/.exec(document.cookie)?.[1] ?? fallback),
  set: (value: string) => {
    if (value === 'light' || value === 'dark') setCookie('theme', value);
  },
  subscribe: () => () => undefined,
});

export function Themed({ children }: { readonly children: ReactNode }) {
  return (
    <ThemeProvider
      theme={theme}
      defaultMode="system"
      storageManager={({ key }) =>
        key.includes('mode')
          ? modeStorage()
          : { get: (fallback: string) => fallback, set: () => undefined, subscribe: () => () => undefined }
      }
    >
      <CssBaseline />
      {children}
    </ThemeProvider>
  );
}

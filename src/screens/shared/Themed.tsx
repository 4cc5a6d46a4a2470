// The look of every page, light or dark as this browser chose.

import { CacheProvider } from '@emotion/react';
import CssBaseline from '@mui/material/CssBaseline';
import { ThemeProvider } from '@mui/material/styles';
import type { ReactNode } from 'react';
import { theme } from '../../theme/theme';
import { takeWrittenStyles } from '../../theme/written-styles';
import { setCookie } from './settings';

const modeStorage = () => ({
  get: (fallback: string) =>
    typeof document === 'undefined' ? fallback : (/(?:^|; )theme=(light|dark)/.exec(document.cookie)?.[1] ?? fallback),
  set: (value: string) => {
    if (value === 'light' || value === 'dark') setCookie('theme', value);
  },
  subscribe: () => () => undefined,
});

/** The server writes what holds for the whole page, and nothing of it changes. */
const isServer = import.meta.env.SSR;
/** The server has one for each page. */
const written = isServer ? null : takeWrittenStyles();

export function Themed({ children }: { readonly children: ReactNode }) {
  const themed = (
    <ThemeProvider
      theme={theme}
      defaultMode="system"
      // Drawn once, with the browser's own mode: anew, what rests would have to be fetched.
      noSsr
      disableStyleSheetGeneration={!isServer}
      storageManager={({ key }) =>
        key.includes('mode')
          ? modeStorage()
          : { get: (fallback: string) => fallback, set: () => undefined, subscribe: () => () => undefined }
      }
    >
      {isServer && <CssBaseline />}
      {children}
    </ThemeProvider>
  );
  return written ? <CacheProvider value={written}>{themed}</CacheProvider> : themed;
}

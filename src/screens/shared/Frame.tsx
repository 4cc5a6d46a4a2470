// The frame round every screen: rail, top line, timers, keys, help, light and dark, units.

import Button from '@mui/material/Button';
import { useColorScheme } from '@mui/material/styles';
import { QueryClient, QueryClientProvider, useQuery } from '@tanstack/react-query';
import { startTransition, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { formatClock, formatInstant, type MeasureSystem } from '../../core/units';
import type { FrameView, RunningSession } from '../../views/frame';
import { callApi } from './api';
import { LongWork } from './LongWork';
import { useChanges } from './use-changes';
import { FirstStart } from './FirstStart';
import { KeyListContext, useKeys, type KeyBinding } from './keys';
import { setCookie, SettingsProvider, toSettings, useSettings } from './settings';
import { Themed } from './Themed';
import { wake, wakeSoon } from './resting';
import { takeTypedEarly } from './typed-early';
import { useMounted } from './use-mounted';
import { VIEWS, type ViewName } from './view-list';
import { Icon } from './Icon';
import { late } from './late';
import { fetchWithFirstDeed } from './snackbar';
import { findFirstEnding, listClocks, useClockEnds } from './use-clock-ends';
import { readClock } from '../../core/scheduling';

const FindDialog = late(() => import('./FindDialog'));
const QuickQuote = late(() => import('./QuickQuote'));
const HelpSheet = late(() => import('./HelpSheet'));
const SnackbarHost = late(() => import('./SnackbarHost'));
/** A new one for each page: on the server, one that lived on would show what an earlier request was answered. */
const makeQueryClient = () =>
  new QueryClient({
    defaultOptions: { queries: { refetchOnWindowFocus: true, retry: 1, staleTime: 0, refetchOnMount: false } },
  });

type FrameProps = {
  readonly frame: FrameView;
  readonly current: ViewName;
  readonly children: ReactNode;
  readonly newHref?: string;
  /** It changes by itself, whether or not somebody is there. */
  readonly moves?: boolean;
  /** Something of it is worked out by the page itself, once it runs. */
  readonly worksOut?: boolean;
};

export function Frame(props: FrameProps) {
  const keyList = useRef(new Map<string, readonly KeyBinding[]>());
  const [queryClient] = useState(makeQueryClient);
  return (
    <QueryClientProvider client={queryClient}>
      <Themed>
        <KeyListContext.Provider value={keyList}>
          <FrameBody {...props} />
        </KeyListContext.Provider>
        <Snackbars />
      </Themed>
    </QueryClientProvider>
  );
}

function Snackbars() {
  const [wanted, setWanted] = useState(false);
  useEffect(() => fetchWithFirstDeed(() => setWanted(true)), []);
  return wanted ? <SnackbarHost /> : null;
}

function FrameBody({ frame, current, children, newHref, moves = false, worksOut = false }: FrameProps) {
  const [system, setSystem] = useState<MeasureSystem>(frame.system);
  const [open, setOpen] = useState<Opened | null>(null);
  useChanges(frame.stamp);
  const settings = useMemo(() => toSettings(frame.shop, system), [frame.shop, system]);
  useKeys('Everywhere', [
    { keys: '/', shown: '/', does: 'find or do anything', run: () => setOpen('find') },
    { keys: '$mod+k', shown: 'Ctrl K', does: 'find or do anything', run: () => setOpen('find'), whileTyping: true },
    { keys: 'q', shown: 'Q', does: 'a quick quote', run: () => setOpen('quote') },
    { keys: '?', shown: '?', does: 'the keys of this screen', run: () => setOpen('help') },
    { keys: 'Shift+?', shown: '', does: '', run: () => setOpen('help') },
    ...VIEWS.map((view) => ({
      keys: `Alt+Digit${view.digit}`,
      shown: `Alt ${view.digit}`,
      does: view.label,
      run: () => location.assign(view.href),
      whileTyping: true,
    })),
  ]);
  // What moves by itself does not rest.
  const restless = moves || frame.running.length > 0 || !frame.shop.confirmed;
  useEffect(() => {
    if (restless) void wake();
    else if (worksOut) wakeSoon();
  }, [restless, worksOut]);
  // From now on the page answers; until then the style sheet lets nothing be clicked.
  useEffect(() => {
    takeTypedEarly(document);
    document.documentElement.setAttribute('data-running', '');
  }, []);
  const toggleUnits = () => {
    const next = system === 'metric' ? 'inch' : 'metric';
    setCookie('units', next);
    // What rests stands as it is until it can be drawn in the other units.
    startTransition(() => setSystem(next));
  };
  return (
    <SettingsProvider value={settings}>
      {newHref && <NewKey href={newHref} />}
      <a className="skip" href="#main">
        Skip to content
      </a>
      <div className="frame">
        <Rail frame={frame} current={current} />
        <TopLine frame={frame} system={system} onOpen={setOpen} onToggleUnits={toggleUnits} />
        <main className="page" id="main">
          {!frame.shop.confirmed && <FirstStart shop={frame.shop} nowMs={frame.nowMs} />}
          {children}
        </main>
      </div>
      <LongWork />
      {open === 'find' && (
        <FindDialog onClose={() => setOpen(null)} onToggleUnits={toggleUnits} onQuote={() => setOpen('quote')} />
      )}
      {open === 'quote' && <QuickQuote onClose={() => setOpen(null)} />}
      {open === 'help' && <HelpSheet onClose={() => setOpen(null)} />}
    </SettingsProvider>
  );
}

function Rail({ frame, current }: { readonly frame: FrameView; readonly current: ViewName }) {
  return (
    <nav className="rail" aria-label="Views">
      <a className="wordmark" href="/" aria-label="Chiral, today">
        <span aria-hidden>chiral</span>
        <i aria-hidden />
      </a>
      <ul>
        {VIEWS.map((view) => [
          view.gapBefore && <li key={`${view.name}-gap`} className="gap" aria-hidden />,
          <li key={view.name}>
            <a href={view.href} aria-current={view.name === current ? 'page' : undefined}>
              <Icon name={view.name} />
              <span className="view-name">{view.label}</span>
              <kbd aria-hidden>{view.digit}</kbd>
            </a>
          </li>,
        ])}
      </ul>
      <div className="shop">
        {frame.shop.name}
        {frame.shop.simulated ? ', demo' : ''}
        <br />
        <Now startMs={frame.nowMs} startText={frame.nowText} />
      </div>
    </nav>
  );
}

type Opened = 'find' | 'help' | 'quote';

type TopLineProps = {
  readonly frame: FrameView;
  readonly system: MeasureSystem;
  readonly onOpen: (what: Opened) => void;
  readonly onToggleUnits: () => void;
};

function TopLine({ frame, system, onOpen, onToggleUnits }: TopLineProps) {
  return (
    <header className="topline">
      <Button className="find" onClick={() => onOpen('find')}>
        Find or do anything <kbd>/</kbd>
      </Button>
      <button className="quiet hide-small" onClick={() => onOpen('quote')} aria-label="Quick quote">
        quote <kbd>Q</kbd>
      </button>
      <Timers frame={frame} />
      <button
        className="quiet hide-small"
        onClick={onToggleUnits}
        aria-label={`Units: ${system === 'metric' ? 'millimetres and °C' : 'inches and °F'}. Change`}
      >
        {system === 'metric' ? 'mm °C' : 'in °F'}
      </button>
      <ThemeSwitch />
      <button className="quiet hide-small" onClick={() => onOpen('help')} aria-label="Keys of this screen">
        keys ?
      </button>
    </header>
  );
}

function NewKey({ href }: { href: string }) {
  useKeys('New', [{ keys: 'n', shown: 'N', does: 'make a new one', run: () => location.assign(href) }]);
  return null;
}

function ThemeSwitch() {
  const { mode, systemMode, setMode } = useColorScheme();
  // The server does not know the system's choice: the word appears once the page runs.
  const [ready, setReady] = useState(false);
  useEffect(() => setReady(true), []);
  const shown = ready ? (mode === 'system' ? (systemMode ?? 'light') : (mode ?? 'light')) : 'light';
  return (
    <button
      className="quiet"
      onClick={() => setMode(shown === 'dark' ? 'light' : 'dark')}
      aria-label={`Theme: ${shown}. Change`}
    >
      {shown}
    </button>
  );
}

/** The server's time as well as this page can know it, moving on by itself. */
export function useServerNow(startMs: number, everyMs = 1000): number {
  const [now, setNow] = useState(startMs);
  useEffect(() => {
    const offset = startMs - Date.now();
    setNow(Date.now() + offset);
    const timer = setInterval(() => setNow(Date.now() + offset), everyMs);
    return () => clearInterval(timer);
  }, [startMs, everyMs]);
  return now;
}

const CLOCK_MS = 20_000;

/** Not drawn by the server: what it drew a while ago may be shown again. */
function Now({ startMs, startText }: { readonly startMs: number; readonly startText: string }) {
  const settings = useSettings();
  const now = useServerNow(startMs, CLOCK_MS);
  const isMounted = useMounted();
  if (!isMounted) return <span>{'\u00a0'}</span>;
  // The server has said it already; a browser takes long for its first date.
  return <span>{now - startMs < CLOCK_MS ? startText : formatInstant(now, settings)}</span>;
}

export const RUNNING_KEY = ['running'] as const;

function Timers({ frame }: { frame: FrameView }) {
  const { data } = useQuery({
    queryKey: RUNNING_KEY,
    queryFn: ({ signal }) =>
      callApi<{ running: readonly RunningSession[]; nowMs: number }>('GET', '/api/work-sessions', undefined, signal),
    initialData: { running: frame.running, nowMs: frame.nowMs },
    refetchInterval: 30_000,
  });
  const now = useServerNow(data.nowMs);
  useClockEnds(data.running, data.nowMs, now);
  return (
    <div className="timers" role="group" aria-label="Running timers">
      {data.running.map((work) => (
        <a key={work.id} className="timer" href={`/bench/${work.station}`}>
          <span>
            {work.label}
            {work.personName && `, ${work.personName}`}
          </span>
          <ClockLeft work={work} nowMs={now} />
          <b>{formatClock((now - work.startedAtMs) / 1000)}</b>
        </a>
      ))}
    </div>
  );
}

/** Of its clocks the one that ends first. */
function ClockLeft({ work, nowMs }: { readonly work: RunningSession; readonly nowMs: number }) {
  const first = findFirstEnding(listClocks([work]), nowMs);
  if (!first) return null;
  return (
    <i className="counts-down" title={first.label}>
      {formatClock(Math.ceil(readClock(first, nowMs).leftS))}
    </i>
  );
}

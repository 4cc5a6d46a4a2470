// What another window, or another computer, changed is shown here too: at once within this browser, else within two
// seconds. What comes back from the browser's memory (Back, Forward) is brought up to date.

import { useQueryClient, type QueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { wake } from './resting';
import { onOwnChange, windowHeaders } from './this-window';

const LOOK_EVERY_MS = 1500;
/** Several changes that come together are fetched once. */
const GATHER_MS = 60;
const CHANNEL = 'chiral-changes';

/** `stamp` is that of the data this page was made from. */
export function useChanges(stamp: string): void {
  const client = useQueryClient();
  useEffect(() => watchChanges(client, stamp), [client, stamp]);
}

function watchChanges(client: QueryClient, pageStamp: string): () => void {
  let known = pageStamp;
  let gathering: ReturnType<typeof setTimeout> | undefined;
  const refresh = () => {
    clearTimeout(gathering);
    gathering = setTimeout(() => void wake().then(() => client.invalidateQueries({ type: 'active' })), GATHER_MS);
  };
  const look = async () => {
    const stamp = document.hidden ? null : await askStamp();
    if (stamp === null || stamp === known) return;
    known = stamp;
    refresh();
  };
  // A page that came back is a while old. One that shows nothing live is as it was made, whatever was heard since: it is
  // loaded anew. What was typed is a draft.
  const comeBack = async () => {
    const stamp = await askStamp();
    if (stamp === null) return;
    if (!isLive(client)) return void (stamp !== pageStamp && location.reload());
    if (stamp === known) return;
    known = stamp;
    refresh();
  };
  // Another window sent something. Whether that changed anything, the stamp tells: a question to the server does not.
  const channel = openChannel(() => void look());
  const onShow = ({ persisted }: PageTransitionEvent) => persisted && void comeBack();
  const onVisible = () => void look();
  if (isFromHistory()) void comeBack();
  const timer = setInterval(() => void look(), LOOK_EVERY_MS);
  window.addEventListener('pageshow', onShow);
  document.addEventListener('visibilitychange', onVisible);
  const forget = onOwnChange(() => channel.tell());
  return () => {
    clearInterval(timer);
    clearTimeout(gathering);
    channel.close();
    window.removeEventListener('pageshow', onShow);
    document.removeEventListener('visibilitychange', onVisible);
    forget();
  };
}

function openChannel(onChange: () => void) {
  // An old browser hears of changes a little later.
  if (typeof BroadcastChannel === 'undefined') return { tell: () => undefined, close: () => undefined };
  const channel = new BroadcastChannel(CHANNEL);
  channel.onmessage = onChange;
  return { tell: () => channel.postMessage(null), close: () => channel.close() };
}

/** Something of this page's own is asked for anew: the frame's timers are on every page. */
const isLive = (client: QueryClient): boolean =>
  client.getQueryCache().findAll({ type: 'active', predicate: ({ queryKey }) => queryKey[0] !== 'running' }).length > 0;

const isFromHistory = (): boolean => {
  const [entry] = performance.getEntriesByType('navigation') as PerformanceNavigationTiming[];
  return entry?.type === 'back_forward';
};

async function askStamp(): Promise<string | null> {
  try {
    const response = await fetch('/api/changes', { headers: windowHeaders() });
    return response.ok ? ((await response.json()) as { stamp: string }).stamp : null;
  } catch {
    return null;
  }
}

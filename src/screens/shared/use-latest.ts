// Asks a worker again whenever what is wished for changes, after a short rest; only the latest answer counts. It can be
// stopped, and asked again.

import { useEffect, useRef, useState } from 'react';

export type Asking = {
  readonly busy: boolean;
  /** Stopped by the user: there is no answer to what is wished for now. */
  readonly stopped: boolean;
  readonly stop: () => void;
  readonly again: () => void;
};

/**
 * `wish` null asks nothing. `ask` and `take` may differ from render to render: those of the time of asking and
 * answering count.
 */
export function useLatest<Answer>(
  wish: string | null,
  settleMs: number,
  ask: (signal: AbortSignal) => Promise<Answer>,
  take: (answer: Answer) => void,
): Asking {
  const [state, setState] = useState({ busy: false, stopped: false });
  const [round, setRound] = useState(0);
  const latest = useRef({ ask, take });
  latest.current = { ask, take };
  const running = useRef<AbortController | null>(null);
  useEffect(() => {
    if (wish === null) return setState({ busy: false, stopped: false });
    const own = new AbortController();
    running.current = own;
    const timer = setTimeout(() => {
      setState({ busy: true, stopped: false });
      latest.current.ask(own.signal).then(
        (answer) => {
          if (own.signal.aborted) return;
          setState({ busy: false, stopped: false });
          latest.current.take(answer);
        },
        (error: unknown) => {
          if (!(error instanceof DOMException && error.name === 'AbortError')) throw error;
        },
      );
    }, settleMs);
    return () => {
      clearTimeout(timer);
      own.abort();
    };
  }, [wish, settleMs, round]);
  return {
    ...state,
    stop: () => {
      running.current?.abort();
      setState({ busy: false, stopped: true });
    },
    again: () => setRound(round + 1),
  };
}

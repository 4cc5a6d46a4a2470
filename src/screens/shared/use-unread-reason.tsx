// Texts that nobody compared with the customer's words are cut only for a reason, which is asked for here.

import { useState, type ReactNode } from 'react';
import { ApiError } from './api';
import { late } from './late';

const AskText = late(() => import('./AskText'));

/** `catchUnread`: whether the refusal was for unread texts; then `send` is called with the reason, if one is given. */
export function useUnreadReason(): {
  readonly catchUnread: (error: unknown, send: (reason: string) => void) => boolean;
  readonly dialog: ReactNode;
} {
  const [asked, setAsked] = useState<{ readonly words: string; readonly send: (reason: string) => void } | null>(null);
  return {
    catchUnread: (error, send) => {
      if (!(error instanceof ApiError && error.reason === 'text-unread')) return false;
      setAsked({ words: error.message, send });
      return true;
    },
    dialog: asked && (
      <AskText
        title="Not read back yet"
        words={asked.words}
        label="Why it is cut all the same"
        button="Cut it all the same"
        isNeeded
        onClose={() => setAsked(null)}
        onTake={(reason) => {
          setAsked(null);
          asked.send(reason);
        }}
      />
    ),
  };
}

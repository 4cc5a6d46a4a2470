// A small form: what is typed, where it is refused, and that it is under way. Nothing typed is lost when it fails.

import { useState } from 'react';
import { ApiError } from '../shared/api';
import { useSendOnce } from '../shared/use-send-once';

export type SmallForm<T> = {
  readonly values: T;
  readonly set: (part: Partial<T>) => void;
  readonly errorOf: (field: string) => string | undefined;
  readonly failure: string | null;
  readonly pending: boolean;
  readonly send: <Answer>(
    method: 'POST' | 'PUT',
    path: string,
    body: unknown,
    done: (answer: Answer) => void,
  ) => Promise<void>;
};

export function useSmallForm<T extends object>(start: T): SmallForm<T> {
  const [values, setValues] = useState(start);
  const [error, setError] = useState<{ field: string | undefined; message: string } | null>(null);
  const [pending, setPending] = useState(false);
  const sendOnce = useSendOnce();
  return {
    values,
    pending,
    set: (part) => setValues((before) => ({ ...before, ...part })),
    errorOf: (field) => (error?.field === field ? error.message : undefined),
    failure: error?.message ?? null,
    send: async <Answer>(method: 'POST' | 'PUT', path: string, body: unknown, done: (answer: Answer) => void) => {
      setPending(true);
      setError(null);
      try {
        done(await sendOnce<Answer>(method, path, body));
      } catch (failed) {
        if (!(failed instanceof ApiError)) throw failed;
        setError({ field: failed.field, message: failed.message });
      } finally {
        setPending(false);
      }
    },
  };
}

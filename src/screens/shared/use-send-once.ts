// Saving what is new exactly once, whatever happens to the answers on the way.

import { useRef } from 'react';
import { ApiError, callApi, createByApi } from './api';
import { makeKey } from './this-window';

/** Sends what is new under one key until it came through, so that a second try can't create it twice. */
export function useSendOnce() {
  const key = useRef('');
  return async <Answer>(method: 'POST' | 'PUT', path: string, body: unknown): Promise<Answer> => {
    if (method === 'PUT') return callApi<Answer>('PUT', path, body);
    key.current ||= makeKey();
    try {
      const answer = await createByApi<Answer>(path, body, key.current);
      key.current = '';
      return answer;
    } catch (error) {
      // With another key it is sent as something else, once the seller has looked.
      if (error instanceof ApiError && error.reason === 'created-before') key.current = '';
      throw error;
    }
  };
}

// The heat press beside the work: looked at again and again, heated to what the step in hand asks for, closed and opened
// with its clock.

import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import type { PressView } from '../../views/press';
import { callApi } from '../shared/api';
import { showAnswer } from '../shared/show-answer';

const KEY = ['press'];
const LOOK_MS = 2000;
type Answer = { readonly press: PressView };
type Deed = {
  readonly choice?: 'none' | 'simulated';
  readonly trick?: 'blind' | 'see';
  readonly heatTo?: number;
  readonly act?: 'close' | 'open' | 'off';
};

export type PressAtHand = { readonly press: PressView; readonly work: (deed: Deed) => void };

/** `isAtPress`: at the other stations it is let be. `wantedC`: of the step in hand; null where it says nothing. */
export function usePress(isAtPress: boolean, wantedC: number | null): PressAtHand {
  const client = useQueryClient();
  const { data } = useQuery({
    queryKey: KEY,
    queryFn: ({ signal }) => callApi<Answer>('GET', '/api/press', undefined, signal),
    enabled: isAtPress,
    refetchInterval: LOOK_MS,
  });
  const { mutate } = useMutation({
    mutationFn: (deed: Deed) => callApi<Answer>('POST', '/api/press', deed),
    onSuccess: (answer) => showAnswer(client, KEY, answer),
  });
  const press = data?.press ?? null;
  const isThere = press !== null;
  useEffect(() => {
    if (isThere && wantedC !== null) mutate({ heatTo: wantedC });
  }, [isThere, wantedC, mutate]);
  return { press, work: mutate };
}

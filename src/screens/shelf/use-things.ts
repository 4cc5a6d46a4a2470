// Everything that can lie on the shelf, asked for once a dialog needs to choose among it.

import { useQuery } from '@tanstack/react-query';
import type { ThingView } from '../../views/stock';
import { callApi } from '../shared/api';

const NONE: readonly ThingView[] = [];

export function useThings(enabled = true): readonly ThingView[] {
  const { data } = useQuery({
    queryKey: ['things'],
    queryFn: ({ signal }) => callApi<readonly ThingView[]>('GET', '/api/shelf/things', undefined, signal),
    refetchOnMount: true,
    enabled,
  });
  return data ?? NONE;
}

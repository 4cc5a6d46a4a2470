// A list as the page came with it, and as it is now: words, sort and page stand in the address.

import { useQuery } from '@tanstack/react-query';
import { callApi } from './api';

/** `path` answers what the page was made from, for the same words, sort and page. */
export function useListView<View extends object>(path: string, initial: View): View {
  const { data } = useQuery<View>({
    queryKey: ['list', path],
    queryFn: ({ signal }) => callApi<View>('GET', `${path}${location.search}`, undefined, signal),
    initialData: initial,
  });
  return data ?? initial;
}

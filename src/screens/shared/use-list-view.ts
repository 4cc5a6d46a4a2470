// A list as the page came with it, and as it is now: words, sort and page stand in the address.

import { useQuery, useQueryClient } from '@tanstack/react-query';
import { callApi } from './api';

/** The list is looked at otherwise, without leaving the page: the address tells how. */
export function useListAddress(path: string): (href: string) => void {
  const client = useQueryClient();
  return (href) => {
    history.replaceState(null, '', href);
    void client.invalidateQueries({ queryKey: ['list', path] });
  };
}

/** `path` answers what the page was made from, for the same words, sort and page. */
export function useListView<View extends object>(path: string, initial: View): View {
  const { data } = useQuery<View>({
    queryKey: ['list', path],
    queryFn: ({ signal }) => callApi<View>('GET', `${path}${location.search}`, undefined, signal),
    initialData: initial,
  });
  return data ?? initial;
}

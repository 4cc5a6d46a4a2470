// What a step answered, put in the place of what was known before it.

import type { QueryClient, QueryKey } from '@tanstack/react-query';

/**
 * A look that is still on its way may have been taken before the step, and would bring back what was there: it is taken
 * anew.
 */
export function showAnswer<Data>(client: QueryClient, queryKey: QueryKey, answer: Data): void {
  const isLooking = client.isFetching({ queryKey, exact: true }) > 0;
  client.setQueryData(queryKey, answer);
  if (isLooking) void client.refetchQueries({ queryKey, exact: true });
}

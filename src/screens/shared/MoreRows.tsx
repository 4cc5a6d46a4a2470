// Below a list that comes in pages: why a page did not come, or that there is more.

import Button from '@mui/material/Button';
import { wordsOf } from './api';
import { Failure } from './Failure';

type Props = {
  /** The pages as they are asked for. */
  readonly pages: {
    readonly isError: boolean;
    readonly error: Error | null;
    readonly hasNextPage: boolean;
    readonly isFetchingNextPage: boolean;
    readonly fetchNextPage: () => Promise<unknown>;
  };
  readonly shown: number;
  readonly total: number;
};

export function MoreRows({ pages, shown, total }: Props) {
  return (
    <>
      {pages.isError && <Failure>{wordsOf(pages.error)}</Failure>}
      {pages.hasNextPage && (
        <div className="actions pad-4 centred">
          <Button size="small" disabled={pages.isFetchingNextPage} onClick={() => void pages.fetchNextPage()}>
            Show more: {shown} of {total}
          </Button>
        </div>
      )}
    </>
  );
}

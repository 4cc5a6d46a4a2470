// What can be done with a channel's files, each told in a sentence.

import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { FeedReport, FolderReport } from '../../views/feed';
import { describeReport } from '../../wording/feeds';
import { useState } from 'react';
import type { FeedColumns } from '../../core/feeds';
import { ApiError, callApi, wordsOf } from '../shared/api';
import { enqueueSnackbar } from '../shared/snackbar';

export const FEED = '/api/feed';
type NameMatch = {
  readonly kind: 'item' | 'size' | 'colour';
  readonly name: string;
  readonly itemId: number;
  /** Of a size or colour: as the blank calls it. */
  readonly own?: string;
};
export type FeedActions = ReturnType<typeof useFeed>;

export function useFeed() {
  const client = useQueryClient();
  /** Whose columns have to be told. */
  const [asking, setAsking] = useState<File | null>(null);
  const refresh = () => void client.invalidateQueries({ queryKey: ['list', FEED] });
  const refuse = (error: unknown) => void enqueueSnackbar(wordsOf(error), { variant: 'error' });
  const tell = (report: FeedReport) => {
    enqueueSnackbar(describeReport(report));
    refresh();
  };
  const tellFiles = ({ files }: FolderReport) => {
    for (const { file, report, problem } of files)
      enqueueSnackbar(problem ?? `${file}: ${describeReport(report!)}`, problem ? { variant: 'error' } : {});
    if (files.length > 0) refresh();
  };
  const send = useMutation({
    mutationFn: (call: () => Promise<FeedReport>) => call(),
    onSuccess: tell,
    onError: refuse,
  });
  const sendFile = useMutation({
    mutationFn: ({ file, columns }: { readonly file: File; readonly columns?: FeedColumns }) =>
      callApi<FeedReport>(
        'POST',
        `${FEED}?${new URLSearchParams({ file: file.name, ...(columns ? { facts: JSON.stringify(columns) } : {}) })}`,
        file,
      ),
    onSuccess: (report) => {
      setAsking(null);
      tell(report);
    },
    onError: (error, { file }) => {
      if (error instanceof ApiError && error.reason === 'feed-columns') setAsking(file);
      else refuse(error);
    },
  });
  const look = useMutation({
    mutationFn: () => callApi<FolderReport>('POST', `${FEED}/look`),
    onSuccess: (report) => {
      tellFiles(report);
      if (report.files.length === 0) enqueueSnackbar('There is no file in the folder.');
    },
    onError: refuse,
  });
  return {
    isBusy: send.isPending || sendFile.isPending || look.isPending,
    asking,
    askNoMore: () => setAsking(null),
    look: () => look.mutate(),
    /** Says nothing where there is nothing, and tries again by itself where the server is away. */
    lookQuietly: () => void callApi<FolderReport>('POST', `${FEED}/look`).then(tellFiles, () => undefined),
    retry: () => send.mutate(() => callApi<FeedReport>('POST', `${FEED}/retry`)),
    match: (wish: NameMatch) => send.mutate(() => callApi<FeedReport>('POST', `${FEED}/match`, wish)),
    takeFile: (file: File, columns?: FeedColumns) => sendFile.mutate({ file, ...(columns ? { columns } : {}) }),
  };
}

// What can be done with a channel's files, each told in a sentence.

import { useMutation, useQueryClient } from '@tanstack/react-query';
import { enqueueSnackbar } from 'notistack';
import type { FeedReport, FolderReport } from '../../views/feed';
import { describeReport } from '../../wording/feeds';
import { callApi, wordsOf } from '../shared/api';

export const FEED = '/api/feed';
export type FeedActions = ReturnType<typeof useFeed>;

export function useFeed() {
  const client = useQueryClient();
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
  const look = useMutation({
    mutationFn: () => callApi<FolderReport>('POST', `${FEED}/look`),
    onSuccess: (report) => {
      tellFiles(report);
      if (report.files.length === 0) enqueueSnackbar('There is no file in the folder.');
    },
    onError: refuse,
  });
  return {
    isBusy: send.isPending || look.isPending,
    look: () => look.mutate(),
    /** Says nothing where there is nothing, and tries again by itself where the server is away. */
    lookQuietly: () => void callApi<FolderReport>('POST', `${FEED}/look`).then(tellFiles, () => undefined),
    retry: () => send.mutate(() => callApi<FeedReport>('POST', `${FEED}/retry`)),
    match: (wish: { readonly article: string; readonly itemId: number }) =>
      send.mutate(() => callApi<FeedReport>('POST', `${FEED}/match`, wish)),
    takeFile: (file: File) =>
      send.mutate(() => callApi<FeedReport>('POST', `${FEED}?file=${encodeURIComponent(file.name)}`, file)),
  };
}

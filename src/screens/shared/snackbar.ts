// Short messages at the foot of the page. What shows them is fetched when somebody first does something: no page has
// one to say before, and it is there when the server is not.

import type { OptionsWithExtraProps, SnackbarKey, SnackbarMessage, VariantType } from 'notistack';
import { DEEDS, onFirst } from './first-deed';

type Options = OptionsWithExtraProps<VariantType>;
type Show = (message: SnackbarMessage, options?: Options) => void;

const waiting: Parameters<Show>[] = [];
let show: Show | null = null;
let fetchHost = (): void => {};

export const enqueueSnackbar: Show = (message, options) => {
  if (show) return show(message, options);
  waiting.push([message, options]);
  fetchHost();
};

export const closeSnackbar = (key: SnackbarKey): void =>
  void import('notistack').then((package_) => package_.closeSnackbar(key));

/** Called once the messages can be shown: those that wait come first. */
export function startShowing(shows: Show): void {
  show = shows;
  for (const [message, options] of waiting.splice(0)) show(message, options);
}

/** `fetch` is called once, with the first deed or the first message. What it gives stops that. */
export function fetchWithFirstDeed(fetch: () => void): () => void {
  const stop = onFirst(DEEDS, fetch);
  fetchHost = () => {
    stop();
    fetch();
  };
  if (waiting.length > 0) fetchHost();
  return stop;
}

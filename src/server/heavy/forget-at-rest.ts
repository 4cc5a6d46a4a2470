// What a task leaves behind lies about until the engine needs the room: up to 200 MB after a heavy drawing, for as long as
// the thread waits. A thread that has rested for a while lets go of it; one that is asked again soon loses no time.

import { setFlagsFromString } from 'node:v8';
import { runInNewContext } from 'node:vm';

const REST_MS = 1500;

/** To be called after each task. */
export function makeForgetAtRest(restMs = REST_MS): () => void {
  // The engine's own call, which it gives to contexts made after the flag was set.
  setFlagsFromString('--expose-gc');
  const forget = runInNewContext('gc') as () => void;
  let resting: NodeJS.Timeout | undefined;
  return () => {
    clearTimeout(resting);
    resting = setTimeout(forget, restMs).unref();
  };
}

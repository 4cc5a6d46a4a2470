// Runs in a thread of its own: one file in, its measurement and picture out.

import { parentPort } from 'node:worker_threads';
import { drawPicture, measureResolved, readSvg, resolveArtwork } from '../../core/artwork';

parentPort?.once('message', ({ text, widthMm }: { text: string; widthMm: number }) => {
  const artwork = readSvg(text);
  if (!artwork.ok) return parentPort?.postMessage(artwork);
  const resolved = resolveArtwork(artwork.value, { widthMm });
  if (!resolved.ok) return parentPort?.postMessage(resolved);
  const { leftOut, gradients, size } = artwork.value;
  parentPort?.postMessage({ ok: true, value: { measurement: measureResolved(resolved.value), picture: drawPicture(resolved.value), leftOut, gradients, sizeStated: size === 'stated' } });
});

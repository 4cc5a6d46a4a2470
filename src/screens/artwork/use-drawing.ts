// A drawing on its way in: dropped, chosen or pasted; read, traced where it is a picture, and put on the desk.

import { useEffect, useRef, useState } from 'react';
import { decodeText, FILE_LIMIT_BYTES, type ArtworkPicture } from '../../core/artwork';
import { openInWorker, wakeWorker } from '../../workers/artwork-client';
import { describeArtworkProblem } from '../../wording/problems';
import { startDesk, type useDesk } from './desk-state';
import { TRACE_START, useTraced } from './TracePanel';

export type Drawing = { readonly text: string; readonly fileName: string; readonly blob: Blob };
/** A photograph or scan to be traced; `number` tells one from the next. */
type TracedPicture = { readonly blob: Blob; readonly name: string; readonly number: number };
type Desk = ReturnType<typeof useDesk>;

/** Why a file is not taken, or null. */
function refuseFile(blob: Blob): string | null {
  return blob.size > FILE_LIMIT_BYTES
    ? describeArtworkProblem({ kind: 'file-too-large', bytes: blob.size, limitBytes: FILE_LIMIT_BYTES })
    : null;
}

export function useDrawing(desk: Desk) {
  const [refusal, setRefusal] = useState<string | null>(null);
  const reader = useDrawingReader(desk);
  const tracing = useTracing(reader);
  const take = async (blob: Blob, fileName: string) => {
    const refused = refuseFile(blob);
    setRefusal(refused);
    if (refused) return;
    if (/^image\/(png|jpeg|webp)$/.test(blob.type)) return tracing.take(blob, fileName);
    tracing.leave();
    await reader.take(decodeText(new Uint8Array(await blob.arrayBuffer())), fileName, blob);
  };
  useEffect(wakeWorker, []);
  usePaste(take, setRefusal);
  return { ...reader, take, tracing, refusal, setRefusal };
}

/** Only the newest file counts; one that is stopped is let be, and what was there stays. */
function useDrawingReader(desk: Desk) {
  const [drawing, setDrawing] = useState<Drawing | null>(null);
  /** Of a drawing that is still being measured. */
  const [early, setEarly] = useState<ArtworkPicture | null>(null);
  const [reading, setReading] = useState(false);
  const newest = useRef(0);
  const stop = () => {
    newest.current++;
    setReading(false);
  };
  const take = async (text: string, fileName: string, blob: Blob) => {
    const own = ++newest.current;
    setReading(true);
    const first = await openInWorker(text);
    if (own !== newest.current) return;
    setReading(false);
    setEarly(first.ok ? first.value.picture : null);
    desk.reset(
      startDesk(toName(fileName), first.ok ? first.value.steps : [], first.ok ? first.value.ownWidthMm : null),
    );
    setDrawing({ text, fileName, blob });
  };
  return { drawing, setDrawing, early, reading, stop, take };
}

const toName = (fileName: string) => fileName.replace(/\.[^.]*$/, '').replace(/[-_]+/g, ' ') || 'Drawing';

function useTracing(reader: ReturnType<typeof useDrawingReader>) {
  const [picture, setPicture] = useState<TracedPicture | null>(null);
  const [options, setOptions] = useState(TRACE_START);
  // Another tracing of the same picture keeps the name, steps and size that were set meanwhile.
  const traced = (svg: string, first: boolean) => {
    const fileName = `${picture?.name.replace(/\.[^.]*$/, '') || 'picture'}.svg`;
    const blob = new Blob([svg], { type: 'image/svg+xml' });
    if (first) void reader.take(svg, fileName, blob);
    else reader.setDrawing({ text: svg, fileName, blob });
  };
  const { asking, problem } = useTraced(picture?.blob ?? null, picture?.number ?? 0, options, traced);
  const count = useRef(0);
  return {
    isOn: picture !== null,
    options,
    setOptions,
    asking,
    problem,
    take: (blob: Blob, name: string) => setPicture({ blob, name, number: ++count.current }),
    leave: () => setPicture(null),
  };
}

/** A file or the text of a drawing pasted anywhere but into a field. */
function usePaste(take: (blob: Blob, fileName: string) => Promise<void>, refuse: (words: string) => void) {
  const latest = useRef({ take, refuse });
  latest.current = { take, refuse };
  useEffect(() => {
    const paste = (event: ClipboardEvent) => {
      if (event.target instanceof HTMLInputElement) return;
      const [file] = event.clipboardData?.files ?? [];
      const text = event.clipboardData?.getData('text/plain') ?? '';
      if (file) void latest.current.take(file, file.name);
      else if (text.includes('<')) void latest.current.take(new Blob([text], { type: 'image/svg+xml' }), 'pasted.svg');
      else if (text)
        latest.current.refuse(describeArtworkProblem({ kind: 'not-svg', found: text.trim().slice(0, 24) }));
    };
    window.addEventListener('paste', paste);
    return () => window.removeEventListener('paste', paste);
  }, []);
}

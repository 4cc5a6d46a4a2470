// Texts read back before they are cut: one at a time, beside the customer's own words, with the outline that will be cut.

import Button from '@mui/material/Button';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import type { LetterRun } from '../../core/orders';
import type { FrameView } from '../../views/frame';
import type { ReadBackLine, ReadBackView, ReadText } from '../../views/read-back';
import { plural } from '../../wording/plural';
import { callApi, wordsOf } from '../shared/api';
import { Frame } from '../shared/Frame';
import { useKeys } from '../shared/keys';
import { asPage } from '../shared/page-data';
import { enqueueSnackbar } from '../shared/snackbar';

export const ReadBackScreen = asPage(function ReadBackScreen({
  frame,
  view,
}: {
  frame: FrameView;
  view: ReadBackView;
}) {
  return (
    <Frame frame={frame} current="orders">
      <ReadBack initial={view} />
    </Frame>
  );
});

function ReadBack({ initial }: { readonly initial: ReadBackView }) {
  const { orderId, version } = initial;
  const [lines, setLines] = useState(initial.lines);
  const [at, setAt] = useState(() =>
    Math.max(
      0,
      initial.lines.findIndex(({ isRead }) => !isRead),
    ),
  );
  const line = lines[at];
  const left = lines.filter(({ isRead }) => !isRead).length;
  const mark = useMutation({
    mutationFn: ({ lineId, isRead }: { lineId: number; isRead: boolean }) =>
      callApi('POST', `/api/orders/${orderId}/read-back`, { lineIds: [lineId], isRead, version }),
    onSuccess: (_, { lineId, isRead }) => {
      const next = lines.map((one) => (one.lineId === lineId ? { ...one, isRead } : one));
      setLines(next);
      if (isRead) setAt(findNext(next, at));
    },
    onError: (error) => enqueueSnackbar(wordsOf(error), { variant: 'error' }),
  });
  const step = (by: number) => setAt(Math.min(lines.length - 1, Math.max(0, at + by)));
  const confirm = () => line && !mark.isPending && mark.mutate({ lineId: line.lineId, isRead: true });
  useKeys('Read back', [
    { keys: 'Enter', shown: 'Enter', does: 'It matches', run: () => void confirm() },
    { keys: 'ArrowDown', shown: '↓', does: 'The next text', run: () => step(1) },
    { keys: 'ArrowUp', shown: '↑', does: 'The text before', run: () => step(-1) },
  ]);
  return (
    <>
      <div className="page-head">
        <div>
          <h1 className="flat">Read back: {initial.title}</h1>
          <p className="flat above-1 text-large" role="status">
            {left === 0
              ? 'Every text was compared with the customer’s words. They can be cut.'
              : `${plural(left, 'text')} of ${lines.length} to be compared with ${initial.customerName}’s words.`}
          </p>
        </div>
        <div className="actions">
          <Button href={`/orders/${orderId}`} variant={left === 0 ? 'contained' : 'outlined'}>
            Back to the order
          </Button>
        </div>
      </div>
      {line ? (
        <div className="cols split-1-2 read-back">
          <LineList lines={lines} at={at} onPick={setAt} />
          <ReadLine
            line={line}
            orderId={orderId}
            isBusy={mark.isPending}
            onMark={(isRead) => mark.mutate({ lineId: line.lineId, isRead })}
          />
        </div>
      ) : (
        <p className="sheet">No piece of this order says anything of its own.</p>
      )}
    </>
  );
}

/** The next that is not read, round the end; where all are, the same one stays. */
function findNext(lines: readonly ReadBackLine[], at: number): number {
  const later = lines.findIndex(({ isRead }, index) => !isRead && index > at);
  const first = lines.findIndex(({ isRead }) => !isRead);
  return later !== -1 ? later : first !== -1 ? first : at;
}

const sayTexts = ({ texts }: ReadBackLine): string => texts.map(({ text }) => text).join(' ');

type ListProps = {
  readonly lines: readonly ReadBackLine[];
  readonly at: number;
  readonly onPick: (at: number) => void;
};

function LineList({ lines, at, onPick }: ListProps) {
  return (
    <section className="sheet flush scrolls read-lines" aria-label="Texts" tabIndex={0}>
      <ul className="flat bare read-list">
        {lines.map((line, index) => (
          <li key={line.lineId}>
            <button type="button" aria-current={index === at ? 'true' : undefined} onClick={() => onPick(index)}>
              <span aria-label={line.isRead ? 'read back' : 'not read back'}>{line.isRead ? '✓' : '·'}</span>{' '}
              <span className="soft">{line.numbers.join(', ')}</span> {sayTexts(line)}
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}

type LineProps = {
  readonly line: ReadBackLine;
  readonly orderId: number;
  readonly isBusy: boolean;
  readonly onMark: (isRead: boolean) => void;
};

function ReadLine({ line, orderId, isBusy, onMark }: LineProps) {
  return (
    <section className="sheet lifted" aria-label="The text to compare">
      <p className="soft flat">
        Piece {line.numbers.join(', ')}: {line.itemName}, {line.sizeName}, {line.colourName}
        {line.note && `, ${line.note}`}
      </p>
      {line.texts.map((text) => (
        <ComparedText key={text.label} text={text} />
      ))}
      {line.source && (
        <p className="flat above-4">
          <span className="soft">In the customer’s list:</span> <span className="own-text">{line.source}</span>
        </p>
      )}
      <div className="actions above-4">
        <Button variant="contained" size="large" disabled={isBusy || line.isRead} onClick={() => onMark(true)}>
          {line.isRead ? 'It matches, noted' : 'It matches'}
        </Button>
        {line.isRead && (
          <Button disabled={isBusy} onClick={() => onMark(false)}>
            Not read after all
          </Button>
        )}
        <Button href={`/orders/${orderId}#lines`}>It is wrong: change it</Button>
      </div>
      <p className="soft flat above-3">Enter: it matches. Arrows: the text before or after.</p>
    </section>
  );
}

function ComparedText({ text }: { readonly text: ReadText }) {
  const differs = text.runs.some(({ kind }) => kind !== 'same');
  return (
    <div className="compared above-4">
      <p className="soft flat">{text.label}, as the customer wrote it</p>
      <p className="flat own-text big-text" aria-label={`${text.label}, as written: ${text.given}`}>
        {text.runs.map((run, at) => run.kind !== 'text-only' && <Letters key={at} run={run} />)}
      </p>
      <p className="soft flat above-2">
        as it will be cut{differs ? ': it differs where it is marked' : ', letter for letter'}
      </p>
      {differs && (
        <p className="flat own-text big-text" aria-label={`${text.label}, as cut: ${text.text}`}>
          {text.runs.map((run, at) => run.kind !== 'given-only' && <Letters key={at} run={run} />)}
        </p>
      )}
      {text.href && <img className="cut-outline" src={text.href} alt={`${text.label} ${text.text} as it is cut`} />}
    </div>
  );
}

/** Spaces can be seen where they are a difference. */
function Letters({ run }: { readonly run: LetterRun }) {
  return run.kind === 'same' ? <span>{run.letters}</span> : <mark>{run.letters.replace(/ /g, '␣')}</mark>;
}

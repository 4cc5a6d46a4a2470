// Quick quote, from anywhere: an item, how many, for whom; what to ask and when it can be ready. Saved as it was given.

import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import { formatDay, formatMoney } from '../../core/units';
import type { QuoteAnswer, QuoteView } from '../../views/quotes';
import { callApi, wordsOf } from './api';
import { QuoteAnswerPanel } from './QuoteAnswerPanel';
import { QuoteDrawing, type DrawingWish } from './QuoteDrawing';
import { QuoteFields, QuoteOptions } from './QuoteFields';
import { QuotesGiven } from './QuotesGiven';
import { useSettings, type Settings } from './settings';
import { useQuickQuote, type QuoteForm } from './use-quick-quote';
import { Failure } from './Failure';
import { enqueueSnackbar } from './snackbar';

export default function QuickQuote({ onClose }: { onClose: () => void }) {
  const settings = useSettings();
  const quote = useQuickQuote();
  const { start, form, set, answer, failure } = quote;
  const save = async () => {
    const id = await quote.save();
    if (id === null) return;
    enqueueSnackbar(`Saved as quote ${id}: it stays so, whatever prices do.`, {
      action: (
        <Button color="inherit" variant="text" onClick={() => void copyQuote(id)}>
          Copy as text
        </Button>
      ),
    });
  };
  const archive = async (given: QuoteView, on: boolean) => {
    try {
      await quote.archive(given, on);
      enqueueSnackbar(on ? `Quote ${given.id} is archived.` : `Quote ${given.id} is restored.`, {
        action: on && (
          <Button color="inherit" variant="text" onClick={() => void archive(given, false)}>
            Undo
          </Button>
        ),
      });
    } catch (error) {
      enqueueSnackbar(wordsOf(error), { variant: 'error' });
    }
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="md" aria-labelledby="quote-title">
      <DialogTitle id="quote-title">{describeAnswer(answer, settings)}</DialogTitle>
      <DialogContent className="cols">
        <QuoteFields {...quote} />
        <QuoteOptions form={form} set={set} />
        <TextField
          label="For whom"
          value={form.customerName}
          onChange={(event) => set({ customerName: event.target.value })}
        />
        {failure && <Failure>{failure}</Failure>}
        {start && !form.item && (
          <QuoteDrawing shelf={start} wish={form.drawing} onChange={(drawing) => set(withDrawing(form, drawing))} />
        )}
        {answer && <QuoteAnswerPanel answer={answer} busy={quote.busy} onAsk={(each) => set({ each })} />}
        {start && start.quotes.length > 0 && (
          <QuotesGiven
            quotes={start.quotes}
            onCopy={(id) => void copyQuote(id)}
            onArchive={(given) => void archive(given, true)}
          />
        )}
      </DialogContent>
      <DialogActions sx={{ px: 3, pb: 2 }}>
        <Button onClick={onClose}>Close</Button>
        <Button variant="contained" disabled={!answer || quote.saving || quote.busy} onClick={() => void save()}>
          Save the quote
        </Button>
      </DialogActions>
    </Dialog>
  );
}

function describeAnswer(answer: QuoteAnswer | null, settings: Settings): string {
  if (!answer) return 'Quick quote';
  const ready = answer.ready ? `, ready on ${formatDay(answer.ready.day, settings)}` : '';
  return `${formatMoney(answer.total.value, settings)} in total${ready}`;
}

/** Size and colour stay where the blank of the drawing has them too. */
function withDrawing(form: QuoteForm, drawing: DrawingWish | null): Partial<QuoteForm> {
  const fits = (name: string, names: readonly { readonly name: string }[] = []) =>
    names.some((one) => one.name === name) ? name : (names[0]?.name ?? '');
  return {
    drawing,
    item: null,
    options: [],
    sizeName: fits(form.sizeName, drawing?.blank.sizes),
    colourName: fits(form.colourName, drawing?.blank.colours),
  };
}

async function copyQuote(id: number): Promise<void> {
  try {
    const { text } = await callApi<{ text: string }>('GET', `/api/quotes/${id}/text`);
    await navigator.clipboard.writeText(text);
    enqueueSnackbar('Copied, to be pasted into a message.');
  } catch (error) {
    const refused = error instanceof DOMException;
    enqueueSnackbar(refused ? 'The browser does not let a page copy here. Open the PDF instead.' : wordsOf(error), {
      variant: 'error',
    });
  }
}

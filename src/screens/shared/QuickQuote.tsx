// Quick quote, from anywhere: an item, how many, for whom; what to ask and when it can be ready. SavedSheet as it was given.

import Autocomplete from '@mui/material/Autocomplete';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { enqueueSnackbar } from 'notistack';
import { useState } from 'react';
import { getVariantPrice } from '../../core/costing/item-plan';
import {
  formatDay,
  formatInstant,
  formatMoney,
  fromMajor,
  parseNumber,
  printMajor,
  type Figure,
} from '../../core/units';
import type { OrderableItem } from '../../views/orders';
import type { QuoteAnswer, QuoteStart, QuoteView } from '../../views/quotes';
import { callApi, wordsOf } from './api';
import { QuoteDrawing, type DrawingWish } from './QuoteDrawing';
import { useSettings } from './settings';
import { useLatest } from './use-latest';
import { Why } from './Why';

type Form = {
  readonly item: OrderableItem | null;
  /** Instead of an item. */ readonly drawing: DrawingWish | null;
  readonly sizeName: string;
  readonly colourName: string;
  readonly options: readonly number[];
  readonly quantity: string;
  /** Empty: the item's own. */ readonly each: string;
  readonly customerName: string;
};
const START: Form = {
  item: null,
  drawing: null,
  sizeName: '',
  colourName: '',
  options: [],
  quantity: '1',
  each: '',
  customerName: '',
};

export default function QuickQuote({ onClose }: { onClose: () => void }) {
  const settings = useSettings();
  const client = useQueryClient();
  const { data: start } = useQuery({
    queryKey: ['quotes'],
    queryFn: ({ signal }) => callApi<QuoteStart>('GET', '/api/quotes', undefined, signal),
    refetchOnMount: true,
  });
  const [form, setForm] = useState(START);
  const [answer, setAnswer] = useState<QuoteAnswer | null>(null);
  const [failure, setFailure] = useState<string | null>(null);
  const [saving, setSaving] = useState(false);
  const set = (part: Partial<Form>) => setForm((before) => ({ ...before, ...part }));
  const quantity = parseNumber(form.quantity),
    each = parseNumber(form.each);
  const sound =
    (form.item !== null || form.drawing !== null) &&
    quantity !== null &&
    Number.isInteger(quantity) &&
    quantity >= 1 &&
    (form.each.trim() === '' || each !== null);
  const sizes = form.drawing ? form.drawing.blank.sizes.map((size) => size.name) : (form.item?.sizes ?? []),
    colours = form.drawing ? form.drawing.blank.colours.map((colour) => colour.name) : (form.item?.colours ?? []);
  const body = {
    itemId: form.item?.id ?? null,
    drawing: form.drawing && {
      artworkId: form.drawing.artwork.id,
      blankId: form.drawing.blank.id,
      widthMm: form.drawing.widthMm,
      vinylIds: form.drawing.vinylIds,
    },
    sizeName: form.sizeName,
    colourName: form.colourName,
    options: form.options,
    quantity,
    each: each === null ? null : fromMajor(each, settings.currency),
    customerName: form.customerName,
  };
  const asking = useLatest(
    sound ? JSON.stringify({ ...body, customerName: '' }) : null,
    150,
    async (signal) => {
      try {
        return { answer: await callApi<QuoteAnswer>('POST', '/api/quotes/ask', body, signal), failure: null };
      } catch (error) {
        if (signal.aborted) throw error;
        return { answer: null, failure: wordsOf(error) };
      }
    },
    (next) => {
      setFailure(next.failure);
      setAnswer(next.answer);
    },
  );
  const copy = async (id: number) => {
    try {
      const { text } = await callApi<{ text: string }>('GET', `/api/quotes/${id}/text`);
      await navigator.clipboard.writeText(text);
      enqueueSnackbar('Copied, to be pasted into a message.');
    } catch (error) {
      enqueueSnackbar(
        error instanceof DOMException
          ? 'The browser does not let a page copy here. Open the PDF instead.'
          : wordsOf(error),
        { variant: 'error' },
      );
    }
  };
  const save = async () => {
    setSaving(true);
    try {
      const { id } = await callApi<{ id: number }>('POST', '/api/quotes', body);
      enqueueSnackbar(`SavedSheet as quote ${id}: it stays so, whatever prices do.`, {
        action: (
          <Button color="inherit" variant="text" onClick={() => void copy(id)}>
            Copy as text
          </Button>
        ),
      });
      await client.invalidateQueries({ queryKey: ['quotes'] });
    } catch (error) {
      setFailure(wordsOf(error));
    } finally {
      setSaving(false);
    }
  };
  const remove = async (quote: QuoteView, on: boolean) => {
    try {
      await callApi(on ? 'DELETE' : 'POST', `/api/quotes/${quote.id}`);
      enqueueSnackbar(on ? `Quote ${quote.id} is put away.` : `Quote ${quote.id} is back.`, {
        action: on ? (
          <Button color="inherit" variant="text" onClick={() => void remove(quote, false)}>
            Undo
          </Button>
        ) : undefined,
      });
      await client.invalidateQueries({ queryKey: ['quotes'] });
    } catch (error) {
      enqueueSnackbar(wordsOf(error), { variant: 'error' });
    }
  };
  const take = (figure: Figure | null, label: string) =>
    figure && (
      <span>
        {label} <Why figure={figure} />{' '}
        <Button
          size="small"
          variant="text"
          aria-label={`Ask ${formatMoney(figure.value, settings)}, ${label}`}
          onClick={() => set({ each: printMajor(figure.value, settings.currency) })}
        >
          ask it
        </Button>
      </span>
    );
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="md" aria-labelledby="quote-title">
      <DialogTitle id="quote-title">
        {answer
          ? `${formatMoney(answer.total.value, settings)} together${answer.ready ? `, ready on ${formatDay(answer.ready.day, settings)}` : ''}`
          : 'Quick quote'}
      </DialogTitle>
      <DialogContent className="cols">
        <div className="fields pad-top-2 quote-fields">
          <Autocomplete
            options={start?.items ?? []}
            value={form.item}
            getOptionLabel={(item) => item.name}
            isOptionEqualToValue={(a, b) => a.id === b.id}
            onChange={(_, item) =>
              set({
                item,
                drawing: null,
                sizeName: item?.usualSize ?? '',
                colourName: item?.usualColour ?? '',
                options: [],
                each: '',
              })
            }
            renderInput={(props) => <TextField {...props} label="Item" autoFocus />}
          />
          <TextField
            select
            label="Size"
            value={form.sizeName}
            onChange={(event) => set({ sizeName: event.target.value })}
          >
            {sizes.map((size) => (
              <MenuItem key={size} value={size}>
                {size}
              </MenuItem>
            ))}
          </TextField>
          <TextField
            select
            label="Colour"
            value={form.colourName}
            onChange={(event) => set({ colourName: event.target.value })}
          >
            {colours.map((colour) => (
              <MenuItem key={colour} value={colour}>
                {colour}
              </MenuItem>
            ))}
          </TextField>
          <TextField
            label="Pieces"
            value={form.quantity}
            onChange={(event) => set({ quantity: event.target.value })}
            error={quantity === null || !Number.isInteger(quantity) || quantity < 1}
            slotProps={{ htmlInput: { inputMode: 'numeric', className: 'figures' } }}
          />
          <TextField
            label="Price each"
            value={form.each}
            placeholder={
              form.item
                ? printMajor(getVariantPrice(form.item, form), settings.currency)
                : form.drawing
                  ? 'by margin'
                  : ''
            }
            onChange={(event) => set({ each: event.target.value })}
            error={form.each.trim() !== '' && each === null}
            slotProps={{ inputLabel: { shrink: true }, htmlInput: { inputMode: 'decimal', className: 'figures' } }}
          />
        </div>
        {form.item && form.item.options.length > 0 && (
          <div className="readings">
            {form.item.options.map((option, at) => (
              <FormControlLabel
                key={at}
                control={
                  <Checkbox
                    size="small"
                    checked={form.options.includes(at)}
                    onChange={(_, on) =>
                      set({ options: on ? [...form.options, at] : form.options.filter((one) => one !== at) })
                    }
                  />
                }
                label={`with ${option.label}, ${formatMoney(option.surcharge, settings)} more`}
              />
            ))}
          </div>
        )}
        <TextField
          label="For whom"
          value={form.customerName}
          onChange={(event) => set({ customerName: event.target.value })}
        />
        {failure && (
          <div className="notice bad" role="alert">
            {failure}
          </div>
        )}
        {start && !form.item && (
          <QuoteDrawing
            shelf={start}
            wish={form.drawing}
            onChange={(drawing) => {
              const fits = (name: string, names: readonly { readonly name: string }[] = []) =>
                names.some((one) => one.name === name) ? name : (names[0]?.name ?? '');
              set({
                drawing,
                item: null,
                options: [],
                sizeName: fits(form.sizeName, drawing?.blank.sizes),
                colourName: fits(form.colourName, drawing?.blank.colours),
              });
            }}
          />
        )}
        {answer && sound && (
          <div className="cols gap-2" style={{ opacity: asking.busy ? 0.6 : 1 }} aria-live="polite">
            <div className="readings">
              <span>
                one costs{' '}
                <b>
                  <Why figure={answer.cost} />
                </b>
              </span>
              <span>
                asked{' '}
                <b>
                  <Why figure={answer.each} />
                </b>
              </span>
              <span>
                together{' '}
                <b>
                  <Why figure={answer.total} />
                </b>
              </span>
              {answer.hourEarns && (
                <span className={answer.hourEarns.value < settings.shop.figures.wagePerHour ? 'short' : ''}>
                  an hour earns{' '}
                  <b>
                    <Why figure={answer.hourEarns} />
                  </b>
                </span>
              )}
            </div>
            <div className="readings soft">
              {take(answer.floor, 'floor')}
              {take(answer.forWage, 'for your wage')}
              {take(answer.forMargin, 'for your margin')}
            </div>
            <p className="flat">
              {answer.ready ? (
                <>
                  Ready on <strong>{formatDay(answer.ready.day, settings)}</strong>, after what waits:{' '}
                  <Why figure={answer.ready.working} />.
                </>
              ) : (
                'Within a year the shop’s hours don’t suffice for it: look at them under Shop.'
              )}
              {answer.toBuy.length > 0 &&
                ` To buy first: ${answer.toBuy.map((thing) => `${thing.name}${thing.days === null ? ', which nobody offers' : `, ${thing.days} ${thing.days === 1 ? 'day' : 'days'}`}`).join('; ')}.`}
            </p>
          </div>
        )}
        {start && start.quotes.length > 0 && (
          <section aria-label="Quotes given">
            <h3 className="flat above-2 below-1">Quotes given</h3>
            <ul className="checks">
              {start.quotes.map((quote) => (
                <li key={quote.id}>
                  <div>
                    <strong>
                      {quote.facts.quantity} × {quote.facts.itemName}
                      {quote.customerName && ` for ${quote.customerName}`}
                    </strong>
                    <span className="soft">
                      {formatInstant(quote.atMs, settings)}: {formatMoney(quote.facts.each, settings)} each,{' '}
                      {formatMoney(quote.facts.total, settings)} together
                      {quote.drift && (
                        <>
                          . One cost {formatMoney(quote.drift.was, settings)}, now <Why figure={quote.drift.now} />
                          {quote.drift.because[0] && (
                            <>
                              , because of{' '}
                              {quote.drift.because
                                .slice(0, 2)
                                .map(
                                  (line) =>
                                    `${line.label} (${formatMoney(line.was, settings)}, now ${formatMoney(line.now, settings)})`,
                                )
                                .join(' and ')}
                            </>
                          )}
                        </>
                      )}
                    </span>
                  </div>
                  <div className="actions any-width no-wrap">
                    <Button size="small" variant="text" href={`/api/quotes/${quote.id}/pdf`} target="_blank">
                      PDF
                    </Button>
                    <Button size="small" variant="text" onClick={() => void copy(quote.id)}>
                      Copy
                    </Button>
                    <Button size="small" variant="text" href={`/orders/new?item=${quote.itemId}`}>
                      Take the order
                    </Button>
                    <Button
                      size="small"
                      variant="text"
                      aria-label={`Put quote ${quote.id} away`}
                      onClick={() => void remove(quote, true)}
                    >
                      ×
                    </Button>
                  </div>
                </li>
              ))}
            </ul>
          </section>
        )}
      </DialogContent>
      <DialogActions sx={{ px: 3, pb: 2 }}>
        <Button onClick={onClose}>Close</Button>
        <Button variant="contained" disabled={!answer || !sound || saving || asking.busy} onClick={() => void save()}>
          Keep the quote
        </Button>
      </DialogActions>
    </Dialog>
  );
}

// What an item may have besides: options, variants, things for each piece, stones, own minutes, and what material is calculated at.

import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useFieldArray, useWatch, type UseFormReturn } from 'react-hook-form';
import type { ReactNode } from 'react';
import type { ItemEvidence } from '../../core/costing';
import { keyOf, type PriceBasis } from '../../core/stock';
import { formatFigure } from '../../core/units';
import type { BlankView } from '../../views/shelf';
import type { ItemEditorView } from '../../views/items';
import { Choice, LengthField, MoneyField, NumberField, TextLine } from '../shared/form';
import { useSettings } from '../shared/settings';
import { Why } from '../shared/Why';
import { startForm, type ItemForm } from './item-form';
import { PlacementFields } from './PlacementFields';

type Props = {
  readonly form: UseFormReturn<ItemForm>;
  readonly view: ItemEditorView;
  readonly blank: BlankView | undefined;
  readonly evidence: ItemEvidence;
};
const WHOLE = { gridColumn: '1 / -1' } as const;
const PRICE_NAMES: Readonly<Record<PriceBasis, string>> = {
  shelf: 'the shelf’s price',
  oldest: 'what the oldest on the shelf cost',
  latest: 'what was paid last',
  offer: 'the best offer',
};

export function MoreFields({ form, view, blank, evidence }: Props) {
  const details = useWatch({ control: form.control, name: 'details' });
  const besides = details.extras.length + (typeof details.packaging === 'number' ? 1 : 0);
  const own = Object.values(details.minutes).filter((seconds) => typeof seconds === 'number').length,
    learned = Object.keys(evidence.minutes ?? {}).length;
  return (
    <>
      <Folded
        title="Options"
        told={
          details.options.length > 0
            ? details.options.map((option) => option.label).join(', ')
            : 'such as a name, a number'
        }
      >
        <Options form={form} view={view} blank={blank} />
      </Folded>
      <Folded
        title="Variants"
        told={
          details.variants.length > 0
            ? `${details.variants.length} of its own`
            : 'other prices or vinyls by size, colour'
        }
      >
        <Variants form={form} view={view} blank={blank} />
      </Folded>
      <Folded title="Besides" told={besides > 0 ? `${besides} for each piece` : 'ribbon, label, own packaging'}>
        <Besides form={form} />
      </Folded>
      <Folded
        title="Stones"
        told={
          details.stones.length > 0 ? details.stones.map((field) => `${field.count} ${field.label}`).join(', ') : 'none'
        }
      >
        <Stones form={form} />
      </Folded>
      <Folded
        title="Minutes and prices"
        told={own > 0 ? `${own} typed` : learned > 0 ? 'learned from your log' : 'estimated'}
      >
        <div className="fields three">
          {(['cut', 'weed', 'press'] as const).map((station) => (
            <NumberField
              key={station}
              form={form}
              name={`details.minutes.${station}`}
              label={{ cut: 'Cut, your hands', weed: 'Weed', press: 'Press' }[station]}
              unit="min"
              per={60}
              digits={2}
              help={
                evidence.minutes?.[station] ? (
                  <>
                    logged: <Why figure={evidence.minutes[station]} />
                  </>
                ) : (
                  'estimated'
                )
              }
            />
          ))}
          <div style={WHOLE}>
            <Choice
              form={form}
              name="details.priceBasis"
              label="Material is calculated at"
              options={(Object.keys(PRICE_NAMES) as PriceBasis[]).map((value) => ({
                value,
                label: PRICE_NAMES[value],
              }))}
            />
          </div>
          {details.priceBasis === 'offer' && (
            <div style={WHOLE}>
              <OfferChoice form={form} view={view} />
            </div>
          )}
        </div>
      </Folded>
    </>
  );
}

/** Which offer of each material is calculated with; the cheapest where none is chosen. */
function OfferChoice({ form, view }: Pick<Props, 'form' | 'view'>) {
  const settings = useSettings();
  const [placements, blankId, sizeName, colourName, chosen] = useWatch({
    control: form.control,
    name: ['placements', 'blankId', 'sizeName', 'colourName', 'details.offerIds'],
  });
  const prices = new Map(view.prices);
  const things = [...new Set(placements.flatMap((placement) => placement.vinylIds.map(Number)))].flatMap((id) => {
    const vinyl = view.shelf.vinyls.find((candidate) => candidate.id === id);
    return vinyl
      ? [
          {
            name: vinyl.name,
            offers: prices.get(keyOf({ kind: 'vinyl', vinylId: id }))?.offers ?? [],
            unit: 'money/m²' as const,
          },
        ]
      : [];
  });
  const blank = {
    name: 'The blank',
    offers: prices.get(keyOf({ kind: 'blank', blankId: Number(blankId), sizeName, colourName }))?.offers ?? [],
    unit: 'money' as const,
  };
  return (
    <div className="fields">
      {[...things, blank].map(({ name, offers, unit }) => (
        <TextField
          key={name}
          select
          size="small"
          label={name}
          value={offers.find((offer) => chosen.includes(offer.id))?.id ?? 0}
          disabled={offers.length === 0}
          onChange={(event) =>
            form.setValue(
              'details.offerIds',
              [
                ...chosen.filter((id) => !offers.some((offer) => offer.id === id)),
                ...(Number(event.target.value) > 0 ? [Number(event.target.value)] : []),
              ],
              { shouldDirty: true },
            )
          }
        >
          <MenuItem value={0}>
            {offers.length === 0 ? 'nobody offers it: the shelf’s price' : 'the cheapest offer'}
          </MenuItem>
          {offers.map((offer) => (
            <MenuItem key={offer.id} value={offer.id}>
              {offer.label}: {formatFigure({ value: offer.price, unit }, settings)}
            </MenuItem>
          ))}
        </TextField>
      ))}
    </div>
  );
}

function Folded({ title, told, children }: { title: string; told: string; children: ReactNode }) {
  return (
    <details className="sheet fold">
      <summary>
        <strong>{title}</strong> <span className="soft">{told}</span>
      </summary>
      <div className="cols above-4">{children}</div>
    </details>
  );
}

function Row({ label, onRemove, children }: { label: string; onRemove: () => void; children: ReactNode }) {
  return (
    <fieldset className="fields group">
      <legend>
        {label}{' '}
        <Button size="small" variant="text" aria-label={`Remove ${label}`} onClick={onRemove}>
          Remove
        </Button>
      </legend>
      {children}
    </fieldset>
  );
}

function Options({ form, view, blank }: Omit<Props, 'evidence'>) {
  const options = useFieldArray({ control: form.control, name: 'details.options' });
  return (
    <>
      <p className="soft flat">
        Calculated by a usual example: <a href="/artwork/letter">letter one</a>, say MARLOWE, and choose it here.
      </p>
      {options.fields.map((field, at) => (
        <Row key={field.id} label={`Option ${at + 1}`} onRemove={() => options.remove(at)}>
          <TextLine form={form} name={`details.options.${at}.label`} label="Called" />
          <MoneyField form={form} name={`details.options.${at}.surcharge`} label="Costs more by" />
          <PlacementFields form={form} path={`details.options.${at}.placement`} view={view} blank={blank} />
        </Row>
      ))}
      <div>
        <Button
          size="small"
          onClick={() =>
            options.append({
              label: 'Name',
              surcharge: 0,
              placement: startForm(
                view.artworks[0]!,
                form.getValues('placements.0.vinylIds').map(Number),
                view.shelf,
                'below the artwork',
              ),
            })
          }
        >
          Add an option
        </Button>
      </div>
    </>
  );
}

function Variants({ form, view, blank }: Omit<Props, 'evidence'>) {
  const variants = useFieldArray({ control: form.control, name: 'details.variants' });
  const used = [
    ...new Set(
      useWatch({ control: form.control, name: 'placements' }).flatMap((placement) => placement.vinylIds.map(Number)),
    ),
  ];
  const any = (what: string) => ({ value: '', label: `any ${what}` });
  const vinyls = view.shelf.vinyls.map((vinyl) => ({ value: vinyl.id, label: vinyl.name, swatch: vinyl.colourHex }));
  return (
    <>
      {variants.fields.map((field, at) => (
        <Row key={field.id} label={`Variant ${at + 1}`} onRemove={() => variants.remove(at)}>
          <Choice
            form={form}
            name={`details.variants.${at}.sizeName`}
            label="For size"
            options={[any('size'), ...(blank?.sizes ?? []).map((size) => ({ value: size.name, label: size.name }))]}
          />
          <Choice
            form={form}
            name={`details.variants.${at}.colourName`}
            label="For colour"
            options={[
              any('colour'),
              ...(blank?.colours ?? []).map((colour) => ({
                value: colour.name,
                label: colour.name,
                swatch: colour.hex,
              })),
            ]}
          />
          <MoneyField form={form} name={`details.variants.${at}.price`} label="Its price, if another" />
          <Swaps form={form} at={at} used={vinyls.filter((vinyl) => used.includes(vinyl.value))} vinyls={vinyls} />
        </Row>
      ))}
      <div>
        <Button size="small" onClick={() => variants.append({ sizeName: '', colourName: '', price: null, swaps: [] })}>
          Add a variant
        </Button>
      </div>
    </>
  );
}

type VinylChoice = { readonly value: number; readonly label: string; readonly swatch: string };
function Swaps({
  form,
  at,
  used,
  vinyls,
}: {
  form: UseFormReturn<ItemForm>;
  at: number;
  used: readonly VinylChoice[];
  vinyls: readonly VinylChoice[];
}) {
  const swaps = useFieldArray({ control: form.control, name: `details.variants.${at}.swaps` });
  return (
    <div style={WHOLE} className="cols">
      {swaps.fields.map((field, index) => (
        <div key={field.id} className="fields split-1-1-end">
          <Choice
            form={form}
            name={`details.variants.${at}.swaps.${index}.vinylId`}
            label="In place of"
            options={used}
          />
          <Choice form={form} name={`details.variants.${at}.swaps.${index}.byVinylId`} label="Use" options={vinyls} />
          <Button
            size="small"
            variant="text"
            aria-label={`Remove swap ${index + 1}`}
            onClick={() => swaps.remove(index)}
          >
            ×
          </Button>
        </div>
      ))}
      <div>
        <Button
          size="small"
          variant="text"
          onClick={() => used[0] && swaps.append({ vinylId: used[0].value, byVinylId: used[0].value })}
        >
          Another vinyl for it
        </Button>
      </div>
    </div>
  );
}

function Besides({ form }: Pick<Props, 'form'>) {
  const extras = useFieldArray({ control: form.control, name: 'details.extras' });
  return (
    <>
      {extras.fields.map((field, at) => (
        <div key={field.id} className="fields split-2-1-end">
          <TextLine form={form} name={`details.extras.${at}.label`} label="What" />
          <MoneyField form={form} name={`details.extras.${at}.price`} label="For each piece" />
          <Button size="small" variant="text" aria-label={`Remove what ${at + 1}`} onClick={() => extras.remove(at)}>
            ×
          </Button>
        </div>
      ))}
      <div>
        <Button size="small" onClick={() => extras.append({ label: '', price: 0 })}>
          Add a thing
        </Button>
      </div>
      <MoneyField form={form} name="details.packaging" label="Packaging, if not the shop’s" />
    </>
  );
}

function Stones({ form }: Pick<Props, 'form'>) {
  const stones = useFieldArray({ control: form.control, name: 'details.stones' });
  return (
    <>
      {stones.fields.map((field, at) => (
        <Row key={field.id} label={`Stones ${at + 1}`} onRemove={() => stones.remove(at)}>
          <TextLine form={form} name={`details.stones.${at}.label`} label="Colour and size" />
          <LengthField form={form} name={`details.stones.${at}.diameterMm`} label="Across" />
          <NumberField form={form} name={`details.stones.${at}.count`} label="Count" />
          <MoneyField form={form} name={`details.stones.${at}.grossPrice`} label="A gross (144)" />
          <MoneyField form={form} name={`details.stones.${at}.templatePrice`} label="Template" />
          <NumberField form={form} name={`details.stones.${at}.templateUses`} label="used so often" />
          <MoneyField form={form} name={`details.stones.${at}.tapePrice`} label="Tape, each piece" />
        </Row>
      ))}
      <div>
        <Button
          size="small"
          onClick={() =>
            stones.append({
              label: 'clear, 3 mm',
              diameterMm: 3,
              count: 100,
              grossPrice: 0,
              templatePrice: 0,
              templateUses: 20,
              tapePrice: 0,
            })
          }
        >
          Add stones
        </Button>
      </div>
    </>
  );
}

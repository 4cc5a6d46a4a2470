// Shop: the figures that every estimate and cost rests on.

import Button from '@mui/material/Button';
import { useEffect, useState } from 'react';
import { useForm, useWatch, type UseFormReturn } from 'react-hook-form';
import { getOrdinaryFigure, SHOP_FIGURES, type ShopFigureKey, type ShopFigures } from '../../core/materials';
import { formatMoney } from '../../core/units';
import { plural } from '../../wording/plural';
import type { FrameView, ShopView } from '../../views/frame';
import { TextLine, useSave, type Save } from '../shared/form';
import { LengthField, MoneyField, NumberField } from '../shared/number-fields';
import { CurrencyAsks } from './CurrencyAsks';
import { FIGURE_GROUPS } from './figure-groups';
import { PeopleSection } from './PeopleSection';
import { Failure } from '../shared/Failure';
import { useSettings } from '../shared/settings';
import { enqueueSnackbar } from '../shared/snackbar';
import { lateRules } from '../shared/late-rules';

export default function ShopContent({
  people,
  shop,
}: {
  readonly people: FrameView['people'];
  readonly shop: FrameView['shop'];
}) {
  return (
    <>
      <Shop shop={shop} />
      <PeopleSection initial={people} />
    </>
  );
}

type ShopValues = {
  name: string;
  address: string;
  contact: string;
  taxNote: string;
  currency: string;
  locale: string;
  timeZone: string;
  figures: { -readonly [Key in keyof ShopFigures]: number };
};

const rules = lateRules<ShopValues>(async () => (await import('../../core/input')).shopInput);

function Shop({ shop }: { shop: ShopView }) {
  const [version, setVersion] = useState(shop.version);
  const form = useForm<ShopValues>({
    resolver: rules,
    defaultValues: {
      name: shop.name,
      address: shop.address ?? '',
      contact: shop.contact ?? '',
      taxNote: shop.taxNote ?? '',
      currency: shop.currency,
      locale: shop.locale,
      timeZone: shop.timeZone,
      figures: { ...shop.figures },
    },
  });
  const [rate, setRate] = useState<number | null>(null);
  const save = useSave<ShopValues, ShopView>({
    form,
    method: 'PUT',
    path: '/api/shop',
    version,
    toBody: (values) => ({ ...values, rate }),
    onSaved: (saved) => {
      // Every amount on the page is another one now.
      if (saved.currency !== shop.currency) return location.reload();
      setVersion(saved.version);
      form.reset(form.getValues());
      enqueueSnackbar('Saved. Orders taken before keep the figures they were quoted with.');
    },
  });
  const { send } = save;
  useEffect(() => {
    // Once it is said what becomes of the prices, it is saved.
    if (rate !== null) send();
    // eslint-disable-next-line react-hooks/exhaustive-deps -- saved once for each answer, not for each drawing of the page
  }, [rate]);
  const { figures } = shop;
  const hours =
    figures.hoursMonday +
    figures.hoursTuesday +
    figures.hoursWednesday +
    figures.hoursThursday +
    figures.hoursFriday +
    figures.hoursSaturday +
    figures.hoursSunday;
  return (
    <form noValidate onSubmit={save.submit}>
      <ShopHead shop={shop} figures={figures} hours={hours} save={save} form={form} />
      {save.reason === 'currency-asks' ? (
        <CurrencyAsks from={shop.currency} to={form.getValues('currency')} onChoose={setRate} />
      ) : (
        save.failure && <Failure spaced>{save.failure}</Failure>
      )}
      <div className="cols">
        <IdentityFields form={form} />
        {FIGURE_GROUPS.map((group) => (
          <section key={group.title} className="sheet" aria-label={group.title}>
            <h2 className="flat below-4">{group.title}</h2>
            <div className="fields wide">
              {group.keys.map((key) => (
                <FigureField key={key} form={form} figureKey={key} />
              ))}
            </div>
          </section>
        ))}
      </div>
    </form>
  );
}

function IdentityFields({ form }: { readonly form: UseFormReturn<ShopValues> }) {
  return (
    <section className="sheet fields wide" aria-label="The shop">
      <TextLine form={form} name="name" label="Name of the shop" />
      <TextLine form={form} name="currency" label="Currency" />
      <TextLine form={form} name="locale" label="Number and date format" />
      <TextLine form={form} name="timeZone" label="Time zone" />
      <TextLine form={form} name="address" label="Address, on papers" multiline />
      <TextLine form={form} name="contact" label="How customers reach you" multiline />
      <TextLine
        form={form}
        name="taxNote"
        label="Tax note, on papers"
        help="In your own words; ask your tax office what it has to say"
        multiline
      />
    </section>
  );
}

type ShopHeadProps = {
  readonly shop: ShopView;
  readonly figures: ShopFigures;
  readonly hours: number;
  readonly save: Save;
  readonly form: UseFormReturn<ShopValues>;
};

function ShopHead({ shop, figures, hours, save, form }: ShopHeadProps) {
  const settings = useSettings();
  return (
    <div className="page-head below-4">
      <div>
        <h1 className="flat">
          {shop.name}: an hour at {formatMoney(figures.wagePerHour, settings)}, {plural(hours, 'hour')} a week
        </h1>
        <p className="soft flat above-1">
          Every cost and estimate rests on these figures. What is not yours yet is an ordinary value of the trade
          {shop.currency === 'EUR' ? '.' : '; prices among them are rough, carried over from euros in round steps.'}
        </p>
      </div>
      <div className="actions">
        <Button type="submit" variant="contained" disabled={save.pending || !form.formState.isDirty}>
          Save the figures
        </Button>
      </div>
    </div>
  );
}

function FigureField({ form, figureKey }: { form: ReturnType<typeof useForm<ShopValues>>; figureKey: ShopFigureKey }) {
  const { label } = SHOP_FIGURES[figureKey];
  // The units that occur among the shop's figures, so that a new one can't be forgotten here.
  const unit: (typeof SHOP_FIGURES)[ShopFigureKey]['unit'] = SHOP_FIGURES[figureKey].unit;
  const value = useWatch({ control: form.control, name: `figures.${figureKey}` });
  const { figures } = useSettings().shop;
  const help = value === getOrdinaryFigure(figureKey, figures.priceLevel) ? 'ordinary value' : undefined;
  const common = { form, name: `figures.${figureKey}` as const, label, help };
  switch (unit) {
    case 'money':
      return <MoneyField {...common} />;
    case 'money/h':
      return <MoneyField {...common} suffix=" / h" />;
    case 'money/m²':
      return <MoneyField {...common} suffix=" / m²" />;
    case 'money/kWh':
      return <MoneyField {...common} suffix=" / kWh" />;
    case 'share':
      return <NumberField {...common} per={0.01} unit="%" />;
    case 'mm':
      return <LengthField {...common} />;
    case 'mm/s':
      return <NumberField {...common} unit="mm/s" />;
    case 'W':
      return <NumberField {...common} unit="W" />;
    case 's':
      return <NumberField {...common} unit="s" />;
    case 'count':
      return (
        <NumberField
          {...common}
          unit={figureKey.startsWith('hours') ? 'h' : figureKey === 'dayStartHour' ? "o'clock" : undefined}
        />
      );
    default:
      return unit satisfies never;
  }
}

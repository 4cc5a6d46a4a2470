// What an item may have besides: options, variants, things for each piece, stones, own minutes, and what material is
// calculated at.

import '@mui/material/Button';
import '@mui/material/MenuItem';
import '@mui/material/TextField';
import { useWatch, type UseFormReturn } from 'react-hook-form';
import type { ItemEvidence, OwnMinutes } from '../../core/costing';
import { type PriceBasis } from '../../core/stock';
import { Choice } from '../shared/form';
import { late } from '../shared/late';
import { NumberField } from '../shared/number-fields';
import { WhenSeen } from '../shared/WhenSeen';
import { Why } from '../shared/Why';
import { Folded } from './FieldRow';
import { OfferChoice } from './OfferChoice';
import { Options } from './OptionFields';
import { describeRecipe } from '../../wording/recipe-names';
import type { MoreFieldsProps } from './more-fields-props';
import type { ItemEditorView } from '../../views/items';
import type { ItemForm } from './item-form';

// Few open it, and it brings what plans of other schools take.
// Folds that most items leave shut.
const RecipeFields = late(() => import('./RecipeFields'));
const Variants = late(async () => ({ default: (await import('./VariantFields')).Variants }));
const Besides = late(async () => ({ default: (await import('./BesidesFields')).Besides }));
const Stones = late(async () => ({ default: (await import('./BesidesFields')).Stones }));

const PRICE_NAMES: Readonly<Record<PriceBasis, string>> = {
  shelf: 'the shelf’s price',
  oldest: 'what the oldest on the shelf cost',
  latest: 'what was paid last',
  offer: 'the best offer',
};

export function MoreFields({ form, view, blank, evidence, spec }: MoreFieldsProps) {
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
        <WhenSeen>
          <Variants form={form} view={view} blank={blank} />
        </WhenSeen>
      </Folded>
      <Folded title="Besides" told={besides > 0 ? `${besides} for each piece` : 'ribbon, label, own packaging'}>
        <WhenSeen>
          <Besides form={form} />
        </WhenSeen>
      </Folded>
      <Folded
        title="Stones"
        told={
          details.stones.length > 0 ? details.stones.map((field) => `${field.count} ${field.label}`).join(', ') : 'none'
        }
      >
        <WhenSeen>
          <Stones form={form} />
        </WhenSeen>
      </Folded>
      <Folded title="Pressing" told={describeRecipe(details.recipe)}>
        <WhenSeen>
          <RecipeFields form={form} spec={spec} />
        </WhenSeen>
      </Folded>
      <Folded
        title="Minutes and prices"
        told={own > 0 ? `${own} typed` : learned > 0 ? 'learned from your log' : 'estimated'}
      >
        <MinutesAndPrices form={form} evidence={evidence} details={details} view={view} />
      </Folded>
    </>
  );
}

type MinutesAndPricesProps = {
  readonly form: UseFormReturn<ItemForm>;
  readonly evidence: ItemEvidence;
  readonly details: ItemForm['details'];
  readonly view: ItemEditorView;
};

function MinutesAndPrices({ form, evidence, details, view }: MinutesAndPricesProps) {
  return (
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
          help={<MinutesHelp minutes={evidence.minutes ?? {}} station={station} />}
        />
      ))}
      <div className="whole-row">
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
        <div className="whole-row">
          <OfferChoice form={form} view={view} />
        </div>
      )}
    </div>
  );
}

/** Where the minutes come from that are calculated with while nothing is typed. */
function MinutesHelp({ minutes, station }: { minutes: OwnMinutes; station: 'cut' | 'weed' | 'press' }) {
  const logged = minutes[station];
  if (logged)
    return (
      <>
        logged: <Why figure={logged} />
      </>
    );
  if (station !== 'cut' || !minutes.cutting) return 'estimated';
  return (
    <>
      logged: loading <Why figure={minutes.cutting.loading} />, watching <Why figure={minutes.cutting.watching} /> of
      the estimate
    </>
  );
}

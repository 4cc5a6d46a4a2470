// What an item comes to: its costs, its prices by the piece, its questions and its quote.

import type { ItemPlan, ItemMaterials, ItemEvidence, MadeLayer } from '../../core/costing';
import type { Calculation } from './calculate-item';
import type { UseFormReturn } from 'react-hook-form';
import type { ItemForm } from './item-form';
import type { ItemEditorView } from '../../views/items';
import type { BlankView } from '../../views/shelf';
import type { ShopFigures } from '../../core/materials';
import { type Settings, useSettings } from '../shared/settings';
import FormControlLabel from '@mui/material/FormControlLabel';
import Checkbox from '@mui/material/Checkbox';
import { PricePanel } from './PricePanel';
import { CostTable } from './CostTable';
import { ChannelPanel } from './ChannelPanel';
import { formatMoney } from '../../core/units';
import { WhenSeen } from '../shared/WhenSeen';
import { late } from '../shared/late';
import { useMounted } from '../shared/use-mounted';

// Charts weigh more than all the rest of the page.
const LadderPanel = late(() => import('./LadderPanel'));
const VariantTable = late(() => import('./VariantTable'));
// Far down, and not drawn on the server: they come as soon as the page runs.
const AreaTable = late(async () => ({ default: (await import('./AreaTable')).AreaTable }));
const JointPanel = late(async () => ({ default: (await import('./JointPanel')).JointPanel }));

type ItemResultsProps = {
  readonly plan: ItemPlan;
  readonly chosen: readonly number[];
  readonly setChosen: React.Dispatch<React.SetStateAction<readonly number[]>>;
  readonly calculation: Calculation;
  readonly form: UseFormReturn<ItemForm>;
  readonly view: ItemEditorView;
  readonly blank: BlankView | undefined;
  readonly input: {
    plan: ItemPlan;
    variant: { options: number[]; sizeName: string; colourName: string };
    quantity: number;
    blank: BlankView | undefined;
    materials: ItemMaterials;
    evidence: ItemEvidence;
    figures: ShopFigures;
    settings: Settings;
  };
  readonly layers: readonly MadeLayer[];
  readonly values: ItemForm;
};

export function ItemResults({
  plan,
  chosen,
  setChosen,
  calculation,
  form,
  view,
  blank,
  input,
  layers,
  values,
}: ItemResultsProps) {
  const settings = useSettings();
  const isMounted = useMounted();
  return (
    <div className="cols">
      {plan.details.options.length > 0 && <OptionChoice plan={plan} chosen={chosen} setChosen={setChosen} />}
      {calculation.ok ? (
        <>
          <PricePanel
            cost={calculation.cost}
            reading={calculation.reading}
            price={calculation.price}
            othersAsk={plan.details.othersAsk}
            figures={settings.shop.figures}
            onPrice={(price) =>
              form.setValue('price', Math.max(0, price - (calculation.price - plan.price)), {
                shouldDirty: true,
                shouldValidate: true,
              })
            }
            form={form}
          />
          <CostTable cost={calculation.cost} reading={calculation.reading} />
          <ChannelPanel
            initial={view.channels}
            cost={calculation.cost}
            price={calculation.price}
            figures={settings.shop.figures}
          />
          <WhenSeen>
            {blank && <VariantTable input={input} plan={plan} blank={blank} wage={settings.shop.figures.wagePerHour} />}
            <LadderPanel
              spec={calculation.spec}
              quantity={calculation.cost.quantity}
              price={calculation.price}
              figures={settings.shop.figures}
            />
          </WhenSeen>
          {isMounted && (
            <>
              <AreaTable form={form} cost={calculation.cost} layers={layers} basis={values.areaBasis} />
              <JointPanel
                {...{ form, layers, cost: calculation.cost, price: calculation.price }}
                itemName={values.name}
                negative={plan.details.negative}
              />
            </>
          )}
        </>
      ) : (
        <div className="notice bad">
          <strong>No cost can be told yet</strong>
          {calculation.problem}
        </div>
      )}
      <p className="soft flat">
        Your hour is {formatMoney(settings.shop.figures.wagePerHour, settings)}.{' '}
        <a href="/shop">Change the shop’s figures</a>
      </p>
    </div>
  );
}

type OptionChoiceProps = {
  readonly plan: ItemPlan;
  readonly chosen: readonly number[];
  readonly setChosen: React.Dispatch<React.SetStateAction<readonly number[]>>;
};

/** Which of the options the cost is told with. */
function OptionChoice({ plan, chosen, setChosen }: OptionChoiceProps) {
  return (
    <div className="readings" role="group" aria-label="Calculated with">
      {plan.details.options.map((option, at) => (
        <FormControlLabel
          key={at}
          control={
            <Checkbox
              size="small"
              checked={chosen.includes(at)}
              onChange={(_, on) => setChosen(on ? [...chosen, at] : chosen.filter((one) => one !== at))}
            />
          }
          label={`with ${option.label || 'option'}`}
        />
      ))}
    </div>
  );
}

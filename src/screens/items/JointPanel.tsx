// What is weeded out sells too: the cost of the cut shared by both products, three ways side by side.

import Button from '@mui/material/Button';
import type { UseFormReturn } from 'react-hook-form';
import { shareJointCost, type ItemCost, type MadeLayer, type Negative, type SharingWay } from '../../core/costing';
import type { Minor } from '../../core/units';
import { Choice, TextLine } from '../shared/form';
import { MoneyField } from '../shared/number-fields';
import { Why } from '../shared/Why';
import type { ItemForm } from './item-form';
import { NumberHead } from '../shared/NumberHead';

const WAYS: Readonly<Record<SharingWay, string>> = {
  area: 'by area',
  value: 'by sale value',
  'by-product': 'negative as by-product',
};

export function JointPanel({
  form,
  cost,
  itemName,
  price,
  negative,
  layers,
}: {
  form: UseFormReturn<ItemForm>;
  cost: ItemCost;
  itemName: string;
  price: Minor;
  negative: Negative | null;
  layers: readonly Pick<MadeLayer, 'name' | 'place'>[];
}) {
  const set = (next: ItemForm['details']['negative']) => form.setValue('details.negative', next, { shouldDirty: true });
  if (!negative)
    return (
      <div>
        <Button
          size="small"
          onClick={() => set({ name: `${itemName || 'Item'}, negative`, layer: 0, price: 0, ownCost: 0 })}
        >
          What is weeded out sells too
        </Button>
      </div>
    );
  return (
    <JointProducts
      set={set}
      form={form}
      layers={layers}
      itemName={itemName}
      negative={negative}
      cost={cost}
      price={price}
    />
  );
}

type JointProductsProps = {
  readonly set: (next: ItemForm['details']['negative']) => void;
  readonly form: UseFormReturn<ItemForm>;
  readonly layers: readonly Pick<MadeLayer, 'name' | 'place'>[];
  readonly itemName: string;
  readonly negative: Negative;
  readonly cost: ItemCost;
  readonly price: Minor;
};

function JointProducts({ set, form, layers, itemName, negative, cost, price }: JointProductsProps) {
  return (
    <section className="sheet flush" aria-label="Two products of one cut">
      <div className="cols pad-top-4 pad-right-4 pad-bottom-0 pad-left-4">
        <div className="page-head">
          <h2 className="flat">Two products of one cut</h2>
          <Button size="small" variant="text" onClick={() => set(null)}>
            Only the item sells
          </Button>
        </div>
        <div className="fields joint-fields">
          <TextLine form={form} name="details.negative.name" label="The negative is called" />
          <Choice
            form={form}
            name="details.negative.layer"
            label="Weeded out of"
            options={layers.map((layer, value) => ({ value, label: `${layer.name}, ${layer.place}` }))}
          />
          <MoneyField form={form} name="details.negative.price" label="It sells for" />
          <MoneyField
            form={form}
            name="details.negative.ownCost"
            label="It takes besides"
            help="its blank, press, packing"
          />
        </div>
      </div>
      <table className="plain">
        <thead>
          <tr>
            <th scope="col">cost of the cut shared</th>
            <NumberHead>{itemName || 'item'} costs</NumberHead>
            <NumberHead>leaves</NumberHead>
            <NumberHead>{negative.name} costs</NumberHead>
            <NumberHead>leaves</NumberHead>
          </tr>
        </thead>
        <tbody>
          {shareJointCost({ cost, itemName, price, negative }).map(({ way, products }) => (
            <tr key={way}>
              <td>{WAYS[way]}</td>
              {products ? (
                products.map((product) => [
                  <td key={`${product.name} cost`} className="num">
                    <Why figure={product.cost} />
                  </td>,
                  <td key={`${product.name} left`} className={`num ${product.left.value < 0 ? 'short' : ''}`}>
                    <Why figure={product.left} />
                  </td>,
                ])
              ) : (
                <td colSpan={4} className="soft">
                  needs a price above what it takes besides
                </td>
              )}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

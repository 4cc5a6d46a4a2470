// In a thread: a layer's drawing in, how close its true shapes lie out.

import type { LayerMeasurement } from '../../core/artwork';
import { measurePacking, type Packing } from '../../core/costing';
import type { ShopFigures, Vinyl } from '../../core/materials';
import { readCutShape, type ShapeWish } from '../../core/nesting';
import { heavyJob } from './heavy-job';

export type PackTask = {
  readonly drawing: string;
  readonly wish: ShapeWish;
  readonly layer: LayerMeasurement;
  readonly vinyl: Vinyl;
  readonly quantity: number;
  readonly figures: ShopFigures;
};

export async function pack({ drawing, wish, layer, vinyl, quantity, figures }: PackTask): Promise<Packing | null> {
  const shape = readCutShape(drawing, wish);
  return shape ? measurePacking({ outline: shape.outline, layer, vinyl, quantity, shop: figures }) : null;
}

export default heavyJob(pack);

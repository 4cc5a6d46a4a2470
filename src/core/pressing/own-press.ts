// The shop's own way to press a vinyl on a fabric: taken where its heat suits all that is pressed together.

import type { Blank, OwnPress, PressSetting, Vinyl } from '../materials';
import { getHeat, getLimit } from './safe-window';

/** A press swings by as much: nearer than this it is the same heat. */
const SAME_HEAT_C = 5;

const findOwnPress = ({ details }: Vinyl, { fabric }: Pick<Blank, 'fabric'>): OwnPress | null =>
  details.ownPress[fabric] ?? null;

/** The vinyl can be pressed so hot: within its maker's window, or as the shop does it itself. */
function suits(vinyl: Vinyl, blank: Blank, temperatureC: number): boolean {
  const maker = getHeat(vinyl, blank);
  const own = findOwnPress(vinyl, blank);
  return (
    maker === null ||
    (temperatureC >= maker.lowC && temperatureC <= maker.highC) ||
    (own !== null && Math.abs(own.temperatureC - temperatureC) <= SAME_HEAT_C)
  );
}

export const suitsAll = (layers: readonly { readonly vinyl: Vinyl }[], blank: Blank, temperatureC: number): boolean =>
  layers.every(({ vinyl }) => suits(vinyl, blank, temperatureC));

/**
 * °C of a layer's own recipe that suits every other layer too; the one that most have first. Null where none is
 * recorded, none suits, or the blank takes no heat.
 */
export function chooseOwnTemperature(layers: readonly { readonly vinyl: Vinyl }[], blank: Blank): number | null {
  if (getLimit(blank) === null) return null;
  const own = layers.flatMap(({ vinyl }) =>
    getHeat(vinyl, blank) ? (findOwnPress(vinyl, blank)?.temperatureC ?? []) : [],
  );
  const votes = (temperatureC: number) => own.filter((one) => one === temperatureC).length;
  return (
    [...new Set(own)]
      .sort((a, b) => votes(b) - votes(a))
      .find((temperatureC) => suitsAll(layers, blank, temperatureC)) ?? null
  );
}

/** How a layer is pressed at this heat: by its own recipe where that asks for it, else as its maker says. */
export function getSettingAt(vinyl: Vinyl, blank: Blank, temperatureC: number): PressSetting | null {
  const maker = getHeat(vinyl, blank);
  const own = findOwnPress(vinyl, blank);
  if (!maker || !own || Math.abs(own.temperatureC - temperatureC) > SAME_HEAT_C) return maker;
  const { seconds, pressure, peel } = own;
  return { ...maker, seconds, pressure, peel };
}

// What the log teaches of weeding and of loading the cutter: coefficients, a factor for each vinyl, how well it guesses.

import {
  bandAround,
  fitTimes,
  getWatchedSeconds,
  LEAST_LOGS,
  listSoundLogs,
  startAfresh,
  testFit,
  WEED_FIGURES,
  type Fit,
  type TimeLog,
} from '../../core/estimating/index';
import { getShopFigure, SHOP_FIGURES, type ShopFigureKey, type ShopFigures } from '../../core/materials/index';
import { PRESS_FIGURES } from '../../core/pressing/index';
import { figure, groupBy, SECONDS_PER_HOUR } from '../../core/units/index';
import { findTaken, type Taken } from '../../data/learned-store';
import { listCutStretches, listPressStretches, listWeedStretches } from '../../data/minutes-store';
import { listPeople } from '../../data/people-store';
import { findVinyls } from '../../data/shelf-store';
import { listFittedAt } from '../../data/supply-store';
import type { LearnedFactor, LearnedFigure, LearnedPace, LearnedStation, LearnedView } from '../../views/trials';
import { getShop, type ShopContext } from '../context';

/** Older work says little of how it is done now. */
const NEWEST = 10_000;
const NEWEST_FITTED = 5;
/** How far it strays: what nine in ten jobs take, against what is calculated. */
const BAND_FIGURES = {
  cut: { low: 'cutHandsLeast', high: 'cutHandsMost' },
  weed: { low: 'weedLeast', high: 'weedMost' },
  press: { low: 'pressHandsLeast', high: 'pressHandsMost' },
} as const satisfies Record<LearnedStation['station'], Record<'low' | 'high', ShopFigureKey>>;
/** The cutter's figures: seconds for a load, and watching as a share of what it is calculated at. */
const CUT_FIGURES = ['cutterLoadSeconds', 'cutterWatchSeconds'] as const satisfies readonly ShopFigureKey[];

/** All that is looked through; it takes long enough to be done in a thread. */
export function learnTimes(shop: ShopContext): LearnedView {
  return { stations: [learnWeeding(shop), learnCutter(shop), learnPressing(shop)], leastLogs: LEAST_LOGS };
}

function learnWeeding(shop: ShopContext): LearnedStation {
  const { figures } = getShop(shop);
  const stretches = listWeedStretches(shop.db, NEWEST);
  const vinylIds = [...new Set(stretches.flatMap(({ vinylId }) => vinylId ?? []))];
  const vinyls = new Map(findVinyls(shop.db, vinylIds).map((vinyl) => [vinyl.id, vinyl]));
  const logs = stretches.map(({ amounts, vinylId, personId, seconds, atMs }): TimeLog => {
    const factor = vinylId === null ? 1 : (vinyls.get(vinylId)?.weedingFactor ?? 1);
    return { amounts: amounts.map((amount) => amount * factor), group: vinylId, person: personId, seconds, atMs };
  });
  const start = WEED_FIGURES.map((key) => figures[key]);
  const fresh = startAfresh(logs, start, listFittedAt(shop.db, 'weeding tool', NEWEST_FITTED));
  const { fit, ...learned } = learn(shop, 'weed', fresh, start);
  return {
    ...learned,
    figures: fit ? WEED_FIGURES.map((key, at) => toFigure(figures, key, fit.coefficients[at]!, learned.logs)) : [],
    factors: [...(fit?.factors ?? [])].flatMap(([vinylId, factor]): LearnedFactor | readonly never[] => {
      const vinyl = vinyls.get(vinylId);
      if (!vinyl) return [];
      const was = vinyl.weedingFactor;
      const scaled = (value: number) => toHundredths(value * was);
      return {
        vinylId,
        name: vinyl.name,
        colourHex: vinyl.colourHex,
        was,
        now: figure(`Weeding factor of ${vinyl.name}`, scaled(factor.value), 'factor', 'learned', {
          how: 'its logged work ÷ what was calculated, leaning on 1 before it is logged; nine in ten likely values lie between',
          low: scaled(factor.low),
          high: scaled(factor.high),
          parts: [
            figure('Before', was, 'factor', 'shop'),
            figure('Stretches of weeding', factor.logs, 'count', 'measured'),
          ],
        }),
      };
    }),
  };
}

function learnCutter(shop: ShopContext): LearnedStation {
  const { figures } = getShop(shop);
  const logs = [...groupBy(listCutStretches(shop.db, NEWEST), ({ sessionId }) => sessionId).values()].map(
    (items): TimeLog => {
      const sum = (pick: (item: (typeof items)[number]) => number) => items.reduce((all, item) => all + pick(item), 0);
      const watched = sum(({ machineSeconds }) =>
        machineSeconds.reduce((all, seconds) => all + getWatchedSeconds(seconds, figures), 0),
      );
      return {
        amounts: [sum(({ loads }) => loads), watched > 0 ? watched / figures.cutterWatchSeconds : 0],
        group: null,
        person: items[0]!.personId,
        // The clock runs for the set-up too, which is a line of its own.
        seconds: items[0]!.seconds - sum(({ setupSeconds }) => setupSeconds),
        atMs: items[0]!.atMs,
      };
    },
  );
  const { fit, ...learned } = learn(
    shop,
    'cut',
    startAfresh(logs, startOf(figures), listFittedAt(shop.db, 'blade', NEWEST_FITTED)),
    startOf(figures),
  );
  return {
    ...learned,
    figures: fit ? CUT_FIGURES.map((key, at) => toFigure(figures, key, fit.coefficients[at]!, learned.logs)) : [],
    factors: [],
  };
}
function learnPressing(shop: ShopContext): LearnedStation {
  const { figures } = getShop(shop);
  // How long the press is closed is set; what is left of the clock is what hands took.
  const logs = listPressStretches(shop.db, NEWEST).map(
    ({ amounts, personId, seconds, fixedSeconds, atMs }): TimeLog => ({
      amounts,
      group: null,
      person: personId,
      seconds: seconds - fixedSeconds,
      atMs,
    }),
  );
  const start = PRESS_FIGURES.map((key) => figures[key]);
  const { fit, ...learned } = learn(shop, 'press', logs, start);
  return {
    ...learned,
    figures: fit ? PRESS_FIGURES.map((key, at) => toFigure(figures, key, fit.coefficients[at]!, learned.logs)) : [],
    factors: [],
  };
}
const startOf = (figures: ShopFigures): readonly number[] => CUT_FIGURES.map((key) => figures[key]);

type Learned = Omit<LearnedStation, 'figures' | 'factors'> & { readonly fit: Fit | null };

function learn(
  shop: ShopContext,
  station: LearnedStation['station'],
  logs: readonly TimeLog[],
  start: readonly number[],
): Learned {
  const sound = listSoundLogs(logs, start).length;
  // A figure that is set to nothing is not to be learned.
  const fit = start.every((value) => value > 0) ? fitTimes(logs, start) : null;
  const taken = findTaken(shop.db, station);
  return {
    station,
    logs: sound,
    leftOut: logs.length - sound,
    fit,
    bands: fit ? toBands(shop, station, fit, sound) : [],
    people: fit ? toPaces(shop, fit.people, taken) : [],
    tested: fit ? testFit(logs, start) : null,
    hour: fit ? bandAround(SECONDS_PER_HOUR, fit.band) : null,
    takenAtMs: taken?.takenAtMs ?? null,
  };
}

/** One alone is as quick as the figures say: only of several it can be told who is quicker. */
function toPaces({ db }: ShopContext, factors: Fit['people'], taken: Taken | null): readonly LearnedPace[] {
  const known = listPeople(db).flatMap((person) => {
    const factor = factors.get(person.id);
    return factor ? [{ ...person, factor }] : [];
  });
  return known.length < 2
    ? []
    : known.map(({ id, name, factor }) => ({
        personId: id,
        name,
        was: taken?.people?.find(({ personId }) => personId === id)?.now ?? 1,
        now: figure(`What ${name} takes`, toHundredths(factor.value), 'factor', 'learned', {
          how: 'logged work ÷ what was calculated for it, whatever was worked on; nine in ten likely values lie between',
          low: toHundredths(factor.low),
          high: toHundredths(factor.high),
          parts: [figure('Stretches of work', factor.logs, 'count', 'measured')],
        }),
      }));
}

const HUNDREDTHS = 100;
const toHundredths = (value: number): number => Math.round(value * HUNDREDTHS) / HUNDREDTHS;

function toBands(
  shop: ShopContext,
  station: LearnedStation['station'],
  { shares }: Fit,
  logs: number,
): LearnedFigure[] {
  const { figures } = getShop(shop);
  const { low, high } = BAND_FIGURES[station];
  const how = 'real ÷ calculated of logs that were held out by turns: one in twenty lies beyond it';
  return [toFigure(figures, low, shares.low, logs, how), toFigure(figures, high, shares.high, logs, how)];
}

const LEAST_SQUARES = 'least squares over the log, near what it was before, no clock that was forgotten';

/** Within what may be typed there. */
function toFigure(
  figures: ShopFigures,
  key: ShopFigureKey,
  learned: number,
  logs: number,
  how = LEAST_SQUARES,
): LearnedFigure {
  const { label, unit, least, most } = SHOP_FIGURES[key];
  const value = toHundredths(Math.min(most, Math.max(least, learned)));
  return {
    key,
    was: figures[key],
    now: figure(label, value, unit, 'learned', {
      how,
      parts: [{ ...getShopFigure(figures, key), label: 'Before' }, figure('Logs', logs, 'count', 'measured')],
    }),
  };
}

// How measures are shown and read: one formatter for lengths, temperatures, money and times. Decides wording of numbers
// only.

import { getMoneyDigits, toMajor, toPercent } from './major';
import { MM_PER_INCH, toFahrenheit, MM2_PER_CM2, MM2_PER_M2, SECONDS_PER_HOUR } from './quantity';
import type { Figure, Unit } from './figure';

export type MeasureSystem = 'metric' | 'inch';
export type FormatSettings = {
  readonly locale: string;
  readonly currency: string;
  readonly system: MeasureSystem;
  readonly timeZone: string;
};

const numberFormats = new Map<string, Intl.NumberFormat>();

export function formatNumber(value: number, locale: string, digits: number, least = digits): string {
  const key = `${locale}/${digits}/${least}`;
  let format = numberFormats.get(key);
  if (!format) {
    format = new Intl.NumberFormat(locale, { minimumFractionDigits: least, maximumFractionDigits: digits });
    numberFormats.set(key, format);
  }
  return format.format(Object.is(value, -0) ? 0 : value);
}

/** The amount without its sign of currency, as the tables show it: 1234 → "12.34". */
export function formatMoney(minorUnits: number, settings: FormatSettings): string {
  const digits = getMoneyDigits(settings.currency);
  return formatNumber(toMajor(minorUnits, settings.currency), settings.locale, digits);
}

export function formatLength(lengthMm: number, settings: FormatSettings, digits?: number): string {
  return settings.system === 'metric'
    ? `${formatNumber(lengthMm, settings.locale, digits ?? 1, 0)} mm`
    : `${formatNumber(lengthMm / MM_PER_INCH, settings.locale, 2, 0)} in`;
}

/** A path in metres (or feet): long enough that millimetres are noise. */
export function formatPath(lengthMm: number, settings: FormatSettings): string {
  return settings.system === 'metric'
    ? `${formatNumber(lengthMm / 1000, settings.locale, 2)} m`
    : `${formatNumber(lengthMm / (MM_PER_INCH * 12), settings.locale, 2)} ft`;
}

/** Below these an area says more in smaller units, or with more digits. */
const LEAST_CM2_IN_MM2 = 10;
const LEAST_IN2 = 0.01;

export function formatArea(areaMm2: number, settings: FormatSettings): string {
  if (settings.system === 'inch') {
    const in2 = areaMm2 / MM_PER_INCH ** 2;
    return `${formatNumber(in2, settings.locale, in2 < LEAST_IN2 ? 4 : 2)} in²`;
  }
  return areaMm2 < LEAST_CM2_IN_MM2
    ? `${formatNumber(areaMm2, settings.locale, 1, 0)} mm²`
    : `${formatNumber(areaMm2 / MM2_PER_CM2, settings.locale, 1)} cm²`;
}

export function formatTemperature(degrees: number, settings: FormatSettings): string {
  return settings.system === 'metric'
    ? `${formatNumber(degrees, settings.locale, 0)} °C`
    : `${formatNumber(toFahrenheit(degrees), settings.locale, 0)} °F`;
}

/** A stretch of time for reading: "45 s", "3.5 min", "2 h 10". */
export function formatDuration(inSeconds: number, settings: Pick<FormatSettings, 'locale'>): string {
  const sign = inSeconds < 0 ? '−' : '';
  const span = Math.abs(inSeconds);
  if (span < 59.5) return `${sign}${formatNumber(span, settings.locale, 0)} s`;
  if (span < 600) return `${sign}${formatNumber(span / 60, settings.locale, 1)} min`;
  const minutes = Math.round(span / 60);
  if (minutes < 60) return `${sign}${minutes} min`;
  return `${sign}${Math.floor(minutes / 60)} h ${String(minutes % 60).padStart(2, '0')}`;
}

/** A running clock: "0:07", "12:45", "1:02:09". */
export function formatClock(inSeconds: number): string {
  const whole = Math.max(0, Math.floor(inSeconds));
  const hours = Math.floor(whole / SECONDS_PER_HOUR);
  const minutes = Math.floor((whole % SECONDS_PER_HOUR) / 60);
  const rest = String(whole % 60).padStart(2, '0');
  return hours > 0 ? `${hours}:${String(minutes).padStart(2, '0')}:${rest}` : `${minutes}:${rest}`;
}

export function formatShare(share: number, settings: Pick<FormatSettings, 'locale'>, digits = 1): string {
  return `${formatNumber(toPercent(share), settings.locale, digits, 0)} %`;
}

const DATE_FORMATS = {
  day: { weekday: 'short', day: 'numeric', month: 'short' },
  instant: {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
    hourCycle: 'h23',
  },
  time: { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' },
  month: { month: 'long', year: 'numeric' },
} as const satisfies Record<string, Intl.DateTimeFormatOptions>;

const dateFormats = new Map<string, Intl.DateTimeFormat>();

/** Made once: making one takes longer than a hundred dates. */
function formatDate(epochMs: number, name: keyof typeof DATE_FORMATS, locale: string, timeZone: string): string {
  const key = `${name}/${locale}/${timeZone}`;
  let format = dateFormats.get(key);
  if (!format) dateFormats.set(key, (format = new Intl.DateTimeFormat(locale, { ...DATE_FORMATS[name], timeZone })));
  return format.format(epochMs);
}

/** A calendar day such as 2026-11-27, shown as "Fri 27 Nov". */
export const formatDay = (isoDate: string, { locale }: Pick<FormatSettings, 'locale'>): string =>
  formatDate(Date.parse(`${isoDate}T12:00:00Z`), 'day', locale, 'UTC');

/** A calendar month such as 2026-11, shown as "November 2026". */
export const formatMonth = (isoMonth: string, { locale }: Pick<FormatSettings, 'locale'>): string =>
  formatDate(Date.parse(`${isoMonth}-15T12:00:00Z`), 'month', locale, 'UTC');

/** An instant (epoch milliseconds) in the shop's time zone: "Tue 24 Nov, 10:42". */
export const formatInstant = (
  epochMs: number,
  { locale, timeZone }: Pick<FormatSettings, 'locale' | 'timeZone'>,
): string => formatDate(epochMs, 'instant', locale, timeZone);

export const formatTimeOfDay = (
  epochMs: number,
  { locale, timeZone }: Pick<FormatSettings, 'locale' | 'timeZone'>,
): string => formatDate(epochMs, 'time', locale, timeZone);

const UNIT_FORMATS: Record<Unit, (value: number, settings: FormatSettings) => string> = {
  money: (value, settings) =>
    Number.isInteger(value)
      ? formatMoney(value, settings)
      : formatNumber(
          toMajor(value, settings.currency),
          settings.locale,
          getMoneyDigits(settings.currency) + 2,
          getMoneyDigits(settings.currency),
        ),
  'money/h': (value, settings) => `${formatMoney(value, settings)} / h`,
  'money/m²': (value, settings) => `${formatMoney(value, settings)} / m²`,
  'money/m': (value, settings) => `${formatMoney(value, settings)} / m`,
  'money/kWh': (value, settings) => `${formatMoney(value, settings)} / kWh`,
  W: (value, settings) => `${formatNumber(value, settings.locale, 0)} W`,
  mm: (value, settings) => formatLength(value, settings),
  'mm/s': (value, settings) => `${formatLength(value, settings)}/s`,
  'mm²': (value, settings) =>
    value >= MM2_PER_M2 / 10
      ? `${formatNumber(value / MM2_PER_M2, settings.locale, 3)} m²`
      : formatArea(value, settings),
  s: (value, settings) => formatDuration(value, settings),
  '°C': formatTemperature,
  count: (value, settings) => formatNumber(value, settings.locale, 2, 0),
  share: (value, settings) => formatShare(value, settings),
  factor: (value, settings) => `× ${formatNumber(value, settings.locale, 3, 0)}`,
};

export function formatFigure(shown: Pick<Figure, 'value' | 'unit'>, settings: FormatSettings): string {
  return UNIT_FORMATS[shown.unit](shown.value, settings);
}

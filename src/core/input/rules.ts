// Building blocks of what may be typed: each refusal says the range and why. Used by forms and by the server alike.

import * as yup from 'yup';
import { MONEY_MOST } from '../units';

/** A number from `least` to `most`, both inclusive; the message names the range and the reason. */
export function numberBetween(
  label: string,
  least: number,
  most: number,
  why: string,
  range = `from ${least} to ${most}`,
) {
  const message = `${label}: ${range}. ${why}`;
  return (
    yup
      .number()
      // A choice holds its number as text. What people type was read before, by the locale: "1,200" is none here.
      .transform((value: number, typed: unknown) => (typeof typed === 'string' ? Number(typed.trim() || NaN) : value))
      .typeError(message)
      .required(message)
      .min(least, message)
      .max(most, message)
  );
}

/** The number, or nothing where the field is empty. */
export const orNothing = <S extends yup.NumberSchema<number>>(schema: S) =>
  schema
    .nullable()
    .defined()
    .transform((value: number | null, typed: unknown) =>
      typeof typed === 'string' && typed.trim() === '' ? null : value,
    );

export function wholeBetween(label: string, least: number, most: number, why: string) {
  return numberBetween(label, least, most, why).integer(`${label}: a whole number from ${least} to ${most}. ${why}`);
}

/** Yup's own trimming fails on what is no text. */
const trimText = (value: unknown): unknown => (typeof value === 'string' ? value.trim() : value);

export function shortText(label: string, longest = 120) {
  return yup
    .string()
    .typeError(`${label}: write a text.`)
    .transform(trimText)
    .required(`${label}: write something, so that you can find it again.`)
    .max(longest, `${label}: at most ${longest} letters, so that it fits on a label.`);
}

export const optionalText = (label: string, longest = 2000) =>
  yup
    .string()
    .typeError(`${label}: write a text.`)
    .transform(trimText)
    .defined()
    .default('')
    .max(longest, `${label}: at most ${longest} letters.`);

export const hexColour = (label: string) =>
  yup
    .string()
    .required(`${label}: choose a colour.`)
    .matches(/^#[0-9a-f]{6}$/i, `${label}: write it as # and six digits, such as #3f5e86.`);

/** Minor units. The range is said as people type it, in no units of its own. */
export const money = (label: string, why = 'Write 0 for nothing.') =>
  numberBetween(label, 0, MONEY_MOST, why, 'an amount from nothing up').integer(
    `${label}: an amount in the smallest coins of your currency.`,
  );

export const rowId = (label: string) =>
  yup
    .number()
    .typeError(`${label}: choose one.`)
    .required(`${label}: choose one.`)
    .integer(`${label}: choose one.`)
    .min(1, `${label}: choose one.`);

export const oneOf = <T extends string>(label: string, values: readonly T[]) =>
  yup
    .mixed<T>()
    .oneOf([...values], `${label}: choose one of ${values.join(', ')}.`)
    .required(`${label}: choose one.`);

/** A day of the calendar, as ISO writes it. */
export const isDay = (text: string | undefined) =>
  text !== undefined &&
  /^\d{4}-\d{2}-\d{2}$/.test(text) &&
  !Number.isNaN(Date.parse(`${text}T00:00:00Z`)) &&
  new Date(`${text}T00:00:00Z`).toISOString().startsWith(text);
export const calendarDay = (label: string) =>
  yup
    .string()
    .required(`${label}: choose a day.`)
    .test('day', `${label}: a day of the calendar, such as 2027-03-31.`, isDay);

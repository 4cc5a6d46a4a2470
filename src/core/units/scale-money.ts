// Amounts inside of kept things, at another currency.

/** Names of the fields that hold money, wherever they stand in what is kept. */
export type MoneyNames = ReadonlySet<string>;

/**
 * The same value with every number under one of the names times the factor; what is below stays as it is elsewhere.
 * `whole`: in whole minor units, halves away from zero, as typed amounts are.
 */
export function scaleMoneyIn(value: unknown, names: MoneyNames, factor: number, whole: boolean): unknown {
  const scale = (amount: number) =>
    whole ? Math.sign(amount) * Math.round(Math.abs(amount * factor)) : amount * factor;
  const walk = (part: unknown): unknown => {
    if (Array.isArray(part)) return part.map(walk);
    if (typeof part !== 'object' || part === null) return part;
    return Object.fromEntries(
      Object.entries(part).map(([name, own]) => [
        name,
        typeof own === 'number' && names.has(name) ? scale(own) : walk(own),
      ]),
    );
  };
  return walk(value);
}

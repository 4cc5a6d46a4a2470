// The rules of a form, fetched when something of it is first checked: nobody types anything before the page is there.

import { yupResolver } from '@hookform/resolvers/yup';
import type { FieldValues, Resolver } from 'react-hook-form';

type Schema = Parameters<typeof yupResolver>[0];

/** Where the rules don't arrive nothing is held against what was typed: the server checks all of it again. */
export function lateRules<Values extends FieldValues>(load: () => Promise<object>): Resolver<Values> {
  const fetchCheck = async () => yupResolver((await load()) as Schema) as unknown as Resolver<Values>;
  return async (values, context, options) => {
    const check = await fetchCheck().catch(() => null);
    return check ? check(values, context, options) : { values, errors: {} };
  };
}

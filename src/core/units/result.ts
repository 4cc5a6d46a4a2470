// What an operation gives back when the trade itself can say no: a value, or a problem that carries data and no prose.

export type Result<T, Problem> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problem: Problem };

export const succeed = <T>(value: T): Result<T, never> => ({ ok: true, value });
export const fail = <Problem>(problem: Problem): Result<never, Problem> => ({ ok: false, problem });

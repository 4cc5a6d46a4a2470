// What an address asks of a long list, and which of its rows that is.

import type { ListPage, ListQuery } from '../views/list';

const MOST_WORDS = 80;

/** What is not understood is as if it had not been asked for. The first of `sorts` is the usual order. */
export function readListQuery<Sort extends string>(
  params: URLSearchParams,
  sorts: readonly [Sort, ...Sort[]],
): ListQuery<Sort> {
  const page = params.get('page') ?? '';
  return {
    words: (params.get('q') ?? '').trim().slice(0, MOST_WORDS),
    sort: sorts.find((sort) => sort === params.get('sort')) ?? sorts[0],
    down: params.get('down') === '1',
    page: /^[1-9]\d{0,5}$/.test(page) ? Number(page) : 1,
  };
}

/** The page that was asked for, or the last one where there are fewer; `offset` is where it begins. */
export function findPage(total: number, asked: number, size: number): ListPage & { readonly offset: number } {
  const pages = Math.max(1, Math.ceil(total / size));
  const page = Math.min(asked, pages);
  return { total, page, pages, offset: (page - 1) * size };
}

import { endpoint } from '../../../server/endpoint';
import { writeCustomersCsv } from '../../../server/customers/save-customer';

export const GET = endpoint(
  ({ shop }) =>
    new Response(`\uFEFF${writeCustomersCsv(shop)}`, {
      headers: {
        'Content-Type': 'text/csv; charset=utf-8',
        'Content-Disposition': 'attachment; filename="customers.csv"',
      },
    }),
);

import { calendarResponse, writeOrderCalendar } from '../../../../server/calendar/due-days';
import { endpoint, readId } from '../../../../server/endpoint';

export const GET = endpoint(({ shop, api }) =>
  calendarResponse(writeOrderCalendar(shop, readId(api, 'This order'), api.url.origin)),
);

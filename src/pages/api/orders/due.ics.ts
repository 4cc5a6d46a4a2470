import { calendarResponse, writeOpenCalendar } from '../../../server/calendar/due-days';
import { endpoint } from '../../../server/endpoint';

/** To be subscribed to. */
export const GET = endpoint(({ shop, api }) => calendarResponse(writeOpenCalendar(shop, api.url.origin)));

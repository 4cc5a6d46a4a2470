import { endpoint } from '../../server/endpoint';
import { heavyWork } from '../../server/heavy/heavy-work';

/** What is being worked out for the window that asks, and how many come first. */
export const GET = endpoint(() => ({ jobs: heavyWork.list() }));

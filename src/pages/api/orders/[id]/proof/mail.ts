import { endpoint, readId } from '../../../../../server/endpoint';
import { mailProof } from '../../../../../server/orders/mail-proof';

/** Into the outbox: a folder that stands for a mail server. */
export const POST = endpoint(({ shop, api }) => mailProof(shop, readId(api, 'This order'), api.url.origin));

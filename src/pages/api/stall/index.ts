import { stallInput } from '../../../core/input';
import { createEndpoint } from '../../../server/create-once';
import { endpoint } from '../../../server/endpoint';
import { prepareTexts } from '../../../server/orders/line-texts';
import { takeAtStall } from '../../../server/stall/stall-piece';
import { loadStallQueue } from '../../../server/stall/stall-queue';

/** Who waits. */
export const GET = endpoint(({ shop }) => loadStallQueue(shop));
export const POST = createEndpoint(stallInput, takeAtStall, undefined, (shop, line) => prepareTexts(shop, [line]));

import { proofApproval } from '../../../../../core/input';
import { endpoint, readId, readJson } from '../../../../../server/endpoint';
import { parseInput } from '../../../../../server/errors';
import { approveLastProof, makeProof } from '../../../../../server/orders/proofs';

export const POST = endpoint(({ shop, api }) => makeProof(shop, readId(api, 'This order')));
/** The customer approves the last one. */
export const PUT = endpoint(async ({ shop, api }) => {
  const { by } = parseInput(proofApproval, await readJson(api.request));
  approveLastProof(shop, readId(api, 'This order'), by);
});

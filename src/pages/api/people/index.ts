import { personInput } from '../../../core/input/index';
import { createEndpoint } from '../../../server/create-once';
import { endpoint } from '../../../server/endpoint';
import { addPerson, readPeople } from '../../../server/shop/people';

export const GET = endpoint(({ shop }) => readPeople(shop));
export const POST = createEndpoint(personInput, addPerson);

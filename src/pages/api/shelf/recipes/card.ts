import { endpoint } from '../../../../server/endpoint';
import { printRecipes } from '../../../../server/stock/print-recipes';
import { getSystem } from '../../../../server/page';

export const GET = endpoint(({ shop, api }) => printRecipes(shop, getSystem(api)));

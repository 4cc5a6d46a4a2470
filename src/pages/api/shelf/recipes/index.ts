import { recipeChange, versionInput } from '../../../../core/input';
import { endpoint, readJson } from '../../../../server/endpoint';
import { parseInput } from '../../../../server/errors';
import { changeRecipe, loadRecipes } from '../../../../server/stock/recipes';

export const GET = endpoint(({ shop }) => loadRecipes(shop));
export const PUT = endpoint(async ({ shop, api }) => {
  const body = await readJson(api.request);
  return changeRecipe(shop, parseInput(recipeChange, body), parseInput(versionInput, body).version);
});

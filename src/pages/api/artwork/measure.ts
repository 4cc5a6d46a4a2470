import { widthMm } from '../../../core/input';
import { FILE_LIMIT_BYTES } from '../../../core/artwork';
import { endpoint, readBody } from '../../../server/endpoint';
import { parseInput } from '../../../server/errors';
import { measureFile } from '../../../server/artwork/measure-file';

export const POST = endpoint(async ({ api }) => {
  const width = parseInput(widthMm, api.url.searchParams.get('widthMm') ?? undefined);
  return measureFile(await readBody(api.request, FILE_LIMIT_BYTES), { widthMm: width });
});

import { widthMm } from '../../../core/input';
import { FILE_LIMIT_BYTES } from '../../../core/artwork';
import { endpoint, readBody } from '../../../server/endpoint';
import { parseInput } from '../../../server/errors';
import { measureFile } from '../../../server/artwork/measure-file';

export const POST = endpoint(async ({ api }) => {
  const asked = api.url.searchParams.get('widthMm');
  const width = asked === null ? null : parseInput(widthMm, asked);
  return measureFile(await readBody(api.request, FILE_LIMIT_BYTES), { widthMm: width });
});

import { expect, it } from 'vitest';
import { readPdfPages } from '../../../test/read-pdf';
import { measureFile } from '../artwork/measure-file';
import { printWeedingMap } from './weeding-map';

const DRAWING =
  '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 200 100"><path fill="#ff0000" fill-rule="evenodd" d="M0 0H100V100H0zM10 10H30V30H10zM50 50H80V80H50z"/><circle fill="#0000ff" cx="150" cy="50" r="50"/></svg>';
const SETTINGS = { locale: 'en-GB', currency: 'EUR', timeZone: 'UTC', system: 'metric' as const };

it('prints a page a layer that says what is weeded out, and how much', async () => {
  const measured = await measureFile(Buffer.from(DRAWING), { widthMm: 200 });
  const bytes = await printWeedingMap(
    'Café',
    measured,
    [
      { key: '#ff0000', name: 'field', mirrored: true },
      { key: '#0000ff', name: 'dot', mirrored: false },
      { key: 'gone', name: 'gone', mirrored: false },
    ],
    SETTINGS,
  );
  const pages = await readPdfPages(bytes);
  expect(pages).toHaveLength(2);
  expect(pages[0]).toMatch(/Café: field/);
  expect(pages[0]).toMatch(/as cut, mirrored\. 100(?:\.0)? mm × 100(?:\.0)? mm, 1 piece, 2 cavities to weed out/);
  expect(pages[0]).toMatch(/weed out\.\s+2\s+stays/);
  expect(pages[1]).toMatch(/not mirrored\. 100(?:\.0)? mm × 100(?:\.0)? mm, 1 piece, 0 cavities/);
});

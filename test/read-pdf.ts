// The text of a PDF, page by page, as another program reads it.

import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';

export async function readPdfPages(bytes: Uint8Array): Promise<readonly string[]> {
  const loading = getDocument({ data: new Uint8Array(bytes), useSystemFonts: true, verbosity: 0 });
  const document = await loading.promise;
  const pages: string[] = [];
  for (let number = 1; number <= document.numPages; number++) {
    const { items } = await (await document.getPage(number)).getTextContent();
    pages.push(items.map((item) => ('str' in item ? item.str : '')).join(' '));
  }
  await loading.destroy();
  return pages;
}

// The text of a PDF, page by page, as another program reads it.

import { extractText, getDocumentProxy } from 'unpdf';

export async function readPdfPages(bytes: Uint8Array): Promise<readonly string[]> {
  const document = await getDocumentProxy(new Uint8Array(bytes), { useSystemFonts: true, verbosity: 0 });
  const { text } = await extractText(document);
  return text;
}

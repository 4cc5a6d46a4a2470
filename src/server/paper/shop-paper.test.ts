// Names on paper stand as they were written, in whatever script; read back by another program.

import { describe, expect, it } from 'vitest';
import { readPdfPages } from '../../../test/read-pdf';
import { printPaper } from './paper';

const printed = async (...texts: readonly string[]): Promise<string> => {
  const bytes = await printPaper('Names', 'en-GB', (paper) => {
    paper.addPage();
    texts.forEach((text, at) =>
      paper
        .font('strong')
        .fontSize(15)
        .text(text, 40, 40 + at * 30, { width: 400 }),
    );
  });
  return (await readPdfPages(bytes)).join(' ').replace(/\s+/g, ' ').trim();
};

describe('names on paper', () => {
  it.each(['Žofia ‘Ünal’ 10 €', 'Łukasz Şükrü', 'Nguyễn', 'Ελένη', 'Ирина Петрова', 'Čačak'])('%s', async (name) =>
    expect(await printed(name)).toBe(name),
  );

  it('composed of a letter and its accent they are the same', async () => {
    expect(await printed('Z\u030Cofia')).toBe('Žofia');
  });

  it('from right to left keep the order of their words', async () => {
    // Drawn from the left, so the last letter stands first on the page.
    const text = await printed('דן כהן');
    expect([...text].filter((letter) => letter !== ' ').sort()).toEqual([...'דןכהן'].sort());
    expect(text.indexOf('כ') < text.indexOf('ד') || text === 'דן כהן').toBe(true);
  });

  it('with a letter that no face has are told by a question mark, never left out', async () => {
    expect(await printed('Mia 日')).toBe('Mia ?');
  });

  it('one in another script leaves the next as it was', async () => {
    expect(await printed('Ирина', 'Marlowe', 'Łukasz')).toBe('Ирина Marlowe Łukasz');
  });
});

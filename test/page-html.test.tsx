// Screens in their places: none is lost, none lands in another page, and nothing that a seller wrote breaks out.

import { describe, expect, it } from 'vitest';
import { asPage, toPageData } from '../src/screens/shared/page-data';
import renderer, { putScreensIn } from '../src/layouts/react-renderer';

const Label = asPage(({ text }: { readonly text: string }) => <p>{text}</p>);

async function write(request: Request, ...texts: readonly string[]): Promise<string> {
  const places: string[] = [];
  for (const text of texts) {
    const props = { data: toPageData({ text }) };
    const { html } = await renderer.renderToStaticMarkup.call({ result: { request } }, Label as never, props, {});
    places.push(html);
  }
  return `<body>${places.join('<hr>')}</body>`;
}

const newRequest = () => new Request('http://localhost/orders');
/** What the browser's own parser takes the data to be: all up to the first end of a script element. */
const readData = (page: string): unknown =>
  JSON.parse(/<script id="page-data" type="application\/json">(.*?)<\/script/s.exec(page)![1]!);

describe('a page', () => {
  it('has each of its screens in its place, and no screen of another page', async () => {
    const [one, other] = [newRequest(), newRequest()];
    const page = await write(one, 'first', 'second');
    const others = await write(other, 'of the other');
    expect(putScreensIn(page, one)).toMatch(/^<body><p>first<\/p>.*<hr><p>second<\/p>.*<\/body>$/s);
    expect(putScreensIn(others, other)).toContain('<p>of the other</p>');
    expect(putScreensIn(others, other)).not.toContain('first');
  });

  it('takes what was written letter by letter, whatever it is', async () => {
    const request = newRequest();
    const text = "$& $1 $' </script><script>alert(1)</script> <!-- \u2028 “Ünïcode” \\u003c";
    const page = putScreensIn(await write(request, text), request);
    expect(readData(page)).toEqual({ text });
    expect(page).not.toContain('<script>alert');
    expect(page.match(/<script/g)).toHaveLength(1);
    expect(page).toContain('$&amp; $1 $&#x27; &lt;/script&gt;');
  });

  it('refuses what stands inside an island, which would be lost', () => {
    const slots = { default: '<p>lost</p>' };
    expect(() =>
      renderer.renderToStaticMarkup.call({ result: { request: newRequest() } }, Label as never, {}, slots),
    ).toThrow('gets data only');
  });
});

// Screens in their places: none is lost, none lands in another page, and nothing that a seller wrote breaks out.

import Button from '@mui/material/Button';
import GlobalStyles from '@mui/material/GlobalStyles';
import { describe, expect, it } from 'vitest';
import { asPage, toPageData } from '../src/screens/shared/page-data';
import renderer, { putScreensIn, type PageScreen } from '../src/layouts/react-renderer';
import type { FrameView } from '../src/views/frame';

type Props = { readonly text: string };
const Label = asPage(({ text }: Props) => <p>{text}</p>);
const Styled = asPage(({ text }: Props) => (
  <>
    <GlobalStyles styles={{ body: { margin: 7 } }} />
    <Button>{text}</Button>
    <Button>{text}, again</Button>
  </>
));

async function place<Props extends object>(request: Request, Screen: unknown, props: Props): Promise<string> {
  const data = { data: toPageData(props) };
  const screen = Screen as PageScreen<object>;
  return (await renderer.renderToStaticMarkup.call({ result: { request } }, screen, data, {})).html;
}

async function write(request: Request, texts: readonly string[], Screen = Label): Promise<string> {
  const places: string[] = [];
  for (const text of texts) places.push(await place(request, Screen, { text }));
  return `<head></head><body>${places.join('<hr>')}</body>`;
}

const newRequest = () => new Request('http://localhost/orders');
/** What the browser's own parser takes the data to be: all up to the first end of a script element. */
const readData = (page: string): unknown =>
  JSON.parse(/<script id="page-data" type="application\/json">(.*?)<\/script/s.exec(page)![1]!);

describe('a page', () => {
  it('has each of its screens in its place, and no screen of another page', async () => {
    const [one, other] = [newRequest(), newRequest()];
    const page = await write(one, ['first', 'second']);
    const others = await write(other, ['of the other']);
    expect(putScreensIn(page, one)).toMatch(/<body><p>first<\/p>.*<hr><p>second<\/p>.*<\/body>$/s);
    expect(putScreensIn(others, other)).toContain('<p>of the other</p>');
    expect(putScreensIn(others, other)).not.toContain('first');
  });

  it('takes what was written letter by letter, whatever it is', async () => {
    const request = newRequest();
    const text = "$& $1 $' </script><script>alert(1)</script> <!-- \u2028 “Ünïcode” \\u003c";
    const page = putScreensIn(await write(request, [text]), request);
    expect(readData(page)).toEqual({ text });
    expect(page).not.toContain('<script>alert');
    expect(page.match(/<script/g)).toHaveLength(1);
    expect(page).toContain('$&amp; $1 $&#x27; &lt;/script&gt;');
  });

  it('has the styles of all its screens in the head, each once, and none where a component stands', async () => {
    const request = newRequest();
    const page = putScreensIn(await write(request, ['Cut', 'Weed'], Styled), request);
    const [head, body] = page.split('</head>') as [string, string];
    expect(body).not.toContain('<style');
    const classes = new Set([...body.matchAll(/class="[^"]*(css-[\w-]+)/g)].map(([, name]) => name!));
    expect(body.match(/<button/g)).toHaveLength(4);
    expect(classes.size).toBe(1);
    for (const name of classes) expect(head).toContain(`.${name}{`);
    // Emotion in the browser takes the two kinds up under these names.
    expect(head).toMatch(/<style data-written="css-global \w+">body\{margin:7px;\}<\/style>/);
    const [, names] = /<style data-written="css ([^"]*)">/.exec(head)!;
    const listed = names!.split(' ').map((name) => `css-${name}`);
    expect(listed).toEqual([...new Set(listed)]);
    expect(listed).toEqual(expect.arrayContaining([...classes]));
    expect(head.match(/<style/g)).toHaveLength(2);
    const bare = newRequest();
    expect(putScreensIn(await write(bare, ['Press']), bare)).not.toContain('<style');
  });

  it('refuses what stands inside an island, which would be lost', () => {
    const slots = { default: '<p>lost</p>' };
    expect(() =>
      renderer.renderToStaticMarkup.call({ result: { request: newRequest() } }, Label as never, {}, slots),
    ).toThrow('gets data only');
  });
});

describe('a screen that was drawn before', () => {
  const FRAME = {
    shop: { name: 'Heron & Hitch', confirmed: true },
    people: [],
    system: 'metric',
    nowMs: 1_000,
    running: [],
    stamp: 'a',
  } as unknown as FrameView;
  type Told = { readonly frame: FrameView; readonly view: string | object };

  /** A screen that counts how often it is drawn, and shows that. */
  function counting() {
    let times = 0;
    const Screen = asPage(({ frame, view }: Told) => {
      times += 1;
      return (
        <Button>
          {frame.shop.name}: {JSON.stringify(view)}, drawn {times}
        </Button>
      );
    });
    return async (told: Partial<FrameView> = {}, view: Told['view'] = 'three orders'): Promise<string> => {
      const request = newRequest();
      const page = `<head></head>${await place(request, Screen, { frame: { ...FRAME, ...told }, view })}`;
      return putScreensIn(page, request);
    };
  }
  const drawnIn = (page: string): number => Number(/drawn (?:<!-- -->)?(\d+)/.exec(page)![1]);

  it('is drawn anew only where its looks are others', async () => {
    const show = counting();
    expect([drawnIn(await show()), drawnIn(await show())]).toEqual([1, 1]);
    expect(drawnIn(await show({}, 'four orders'))).toBe(2);
    expect(drawnIn(await show({ system: 'inch' }))).toBe(3);
    expect(drawnIn(await show({ people: [{ id: 1, name: 'Ada' }] }))).toBe(4);
    expect(drawnIn(await show({ shop: { ...FRAME.shop, name: 'Heron' } }))).toBe(5);
    expect(drawnIn(await show())).toBe(1);
  });

  it('has the data of now, and its styles, all the same', async () => {
    const show = counting();
    const first = await show();
    const again = await show({ nowMs: 61_000, nowText: 'later', stamp: 'b' });
    expect(drawnIn(again)).toBe(1);
    expect(readData(again)).toEqual({
      frame: { ...FRAME, nowMs: 61_000, nowText: 'later', stamp: 'b' },
      view: 'three orders',
    });
    const styles = /<style.*<\/style>/s;
    expect(styles.exec(again)![0]).toBe(styles.exec(first)![0]);
  });

  it('is drawn each time while it shows the time: of a timer, of the day, at a first start', async () => {
    const running = [{ id: 1 }] as unknown as FrameView['running'];
    for (const told of [{ running }, { shop: { ...FRAME.shop, confirmed: false } }]) {
      const show = counting();
      for (const time of [1, 2]) expect(drawnIn(await show(told))).toBe(time);
    }
    const show = counting();
    for (const time of [1, 2]) expect(drawnIn(await show({}, { nowMs: 5 }))).toBe(time);
  });

  it('is not drawn anew for the time that timers would count from, while none runs', async () => {
    const show = counting();
    const read = (readAtMs: number) => show({}, { orders: 3, readAtMs });
    expect([drawnIn(await read(5)), drawnIn(await read(65_000))]).toEqual([1, 1]);
    expect(readData(await read(70_000))).toMatchObject({ view: { orders: 3, readAtMs: 70_000 } });
    expect(drawnIn(await show({}, { orders: 4, readAtMs: 5 }))).toBe(2);
  });

  it('is no other screen with the same data', async () => {
    const [one, other] = [counting(), counting()];
    expect([drawnIn(await one()), drawnIn(await one({}, 'four')), drawnIn(await other())]).toEqual([1, 2, 1]);
  });
});

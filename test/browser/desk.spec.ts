// A drawing made ready: what is found is mended by one button and undone by another; files come out as they should;
// words become a drawing.

import { readFileSync } from 'node:fs';
import { unzipSync } from 'fflate';
import { expect, test, type Download, type Page } from '@playwright/test';
import { readPdfPages } from '../read-pdf';
import { open, running, ShopServer } from './server';

const server = new ShopServer(4394, true);
test.beforeAll(() => server.start());
test.afterAll(() => server.remove());

const DRAWING = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 80" width="100mm">
  <g fill="#3f5e86"><rect width="60" height="40"/><rect x="40" width="60" height="40"/><rect y="60" width="100" height="0.4"/></g>
  <path fill="none" stroke="#c98a12" stroke-width="4" d="M10 52H90"/></svg>`;

async function drop(page: Page, text: string, name = 'crossing.svg'): Promise<void> {
  await open(page, `${server.address}/artwork/new`);
  await page.getByLabel('Drawing file').setInputFiles({ name, mimeType: 'image/svg+xml', buffer: Buffer.from(text) });
  await expect(page.getByRole('region', { name: 'Layers' })).toBeVisible();
}
async function save(page: Page, button: string): Promise<{ name: string; bytes: Buffer }> {
  const [download] = (await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('region', { name: 'For the cutter' }).getByRole('button', { name: button, exact: true }).click(),
  ])) as [Download, void];
  return { name: download.suggestedFilename(), bytes: readFileSync(await download.path()) };
}

test('each finding has its remedy, a place in the list of steps, and a way back', async ({ page }) => {
  await drop(page, DRAWING);
  const checks = page.getByRole('region', { name: 'Checks' });
  await expect(checks).toContainText('shapes cross each other');
  await expect(checks).toContainText('1 line drawn as strokes');
  // It opens at the 100 mm that it states.
  await expect(checks).toContainText('strokes down to 0.4 mm');
  await expect(page.locator('circle.fail.stroke').first()).toBeAttached();
  await checks.getByRole('button', { name: 'Unite crossing shapes' }).click();
  await expect(checks).not.toContainText('shapes cross each other');
  const steps = page.getByRole('region', { name: 'Steps' });
  await steps.getByRole('button', { name: 'Undo' }).click();
  await expect(checks).toContainText('shapes cross each other');
  await checks.getByRole('button', { name: 'Unite crossing shapes' }).click();
  await checks.getByRole('button', { name: 'Turn strokes into outlines' }).click();
  const layers = page.getByRole('region', { name: 'Layers' });
  await expect(layers.getByRole('textbox')).toHaveCount(2);
  await steps.getByRole('checkbox', { name: /Turn strokes into outlines/ }).uncheck();
  await expect(layers.getByRole('textbox')).toHaveCount(1);
  await steps.getByRole('checkbox', { name: /Turn strokes into outlines/ }).check();
  await checks.getByRole('button', { name: 'Make it 250 mm wide' }).click();
  await expect(page.getByLabel('Width', { exact: true })).toHaveValue('250');
  await expect(checks).not.toContainText('strokes down to');
  await page.getByLabel('Size by').click();
  await page.getByRole('option', { name: 'print area' }).click();
  await page.getByLabel('Height', { exact: true }).fill('80');
  await expect(page.getByText(/× 80 mm/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Save this artwork' }).click();
  await expect(page.getByRole('heading', { name: 'crossing' })).toBeVisible();
  await running(page);
  await expect(page.getByRole('region', { name: 'Steps' })).toContainText('Unite crossing shapes');
  await expect(page.getByRole('region', { name: 'Steps' }).getByRole('listitem')).toHaveCount(2);
  await expect(page.getByLabel('Height', { exact: true })).toHaveValue('80');
});

test('cut files: mirrored by the vinyl, the same length in Chromium, all layers in a zip', async ({ page }) => {
  await open(page, `${server.address}/artwork/4`);
  await expect(page.getByRole('region', { name: 'For the cutter' })).toContainText('not mirrored');
  const plain = await save(page, 'SVG');
  expect(plain.name).toBe('Seed tin label label.svg');
  await open(page, `${server.address}/artwork/5`);
  await page.getByLabel('Force in HPGL, g').fill('0');
  await expect(page.getByText('From 1 to 1000 g.')).toBeVisible();
  await page.getByLabel('Force in HPGL, g').fill('85');
  await page.getByLabel('Speed in HPGL, mm/s').fill('120');
  const zip = await save(page, 'All as a zip');
  const files = unzipSync(zip.bytes);
  expect(Object.keys(files).sort()).toEqual([
    'Cogwheel spark mirrored.dxf',
    'Cogwheel spark mirrored.plt',
    'Cogwheel spark mirrored.svg',
    'Cogwheel wheel mirrored.dxf',
    'Cogwheel wheel mirrored.plt',
    'Cogwheel wheel mirrored.svg',
  ]);
  const wheel = new TextDecoder().decode(files['Cogwheel wheel mirrored.svg']);
  expect(new TextDecoder().decode(files['Cogwheel wheel mirrored.plt'])).toMatch(/FS85;\s*VS12;/);
  const ruler = await page.evaluate((text) => {
    const svg = new DOMParser().parseFromString(text, 'image/svg+xml').documentElement as unknown as SVGSVGElement;
    document.body.append(svg);
    const path = svg.querySelector('path')!;
    const answer = { length: path.getTotalLength(), width: path.getBBox().width };
    svg.remove();
    return answer;
  }, wheel);
  const { measurement } = (await (await page.request.get(`${server.address}/api/artwork/5`)).json()) as {
    measurement: { layers: { outlineLengthMm: number; box: { width: number } }[] };
  };
  expect(ruler.length / measurement.layers[0]!.outlineLengthMm).toBeCloseTo(1, 3);
  expect(ruler.width / measurement.layers[0]!.box.width).toBeCloseTo(1, 3);
});

test('the weeding map shows what comes out and how many, on paper too', async ({ page }) => {
  await open(page, `${server.address}/artwork/3`);
  await page.keyboard.press('w');
  await expect(page.getByRole('img', { name: /weeding map/ })).toContainText('91');
  const map = await save(page, 'Weeding map, PDF');
  expect(map.name).toMatch(/weeding map\.pdf$/);
  expect((await readPdfPages(map.bytes)).join(' ')).toContain(' 91 ');
});

test('words become a drawing: a typeface without a letter says so, an arc bends, the pair has two layers', async ({
  page,
}) => {
  await open(page, `${server.address}/artwork/letter`);
  await page.getByLabel('Words').fill('Möwe 漢');
  await expect(page.getByRole('alert')).toContainText('“漢”');
  await page.getByLabel('Words').fill('Möwe');
  await expect(page.getByText(/pieces, .* cavities to weed/)).toBeVisible();
  await page.getByLabel('Baseline').click();
  await page.getByRole('option', { name: 'on an arc, upwards' }).click();
  await expect(page.getByLabel('Radius of the arc')).toHaveValue('120');
  await page.getByRole('checkbox', { name: /second colour/ }).check();
  await expect(page.getByRole('img', { name: /as worn/ }).locator('path')).toHaveCount(2);
  await page.getByRole('button', { name: 'Save this lettering' }).click();
  await expect(page.getByRole('heading', { name: 'Möwe' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Layers' }).getByRole('textbox')).toHaveCount(2);
});

test('a list of names: each line a drawing of its own, none wider than its place', async ({ page }) => {
  await open(page, `${server.address}/artwork/letter`);
  await page.getByLabel('A list of names: each line a drawing of its own').check();
  await page.getByLabel('Words').fill('Ole\n\nChristabel-Louise\nИра');
  const names = page.getByRole('list', { name: 'Names' });
  await expect(names.getByRole('listitem')).toHaveCount(3);
  await expect(page.getByRole('alert')).toContainText('Ира: This typeface has no');
  await page.getByLabel('Words').fill('Ole\nChristabel-Louise');
  await page.getByLabel('No wider than').fill('160');
  await expect(names).toContainText('160 mm × 13.9 mm, made smaller');
  await names.getByRole('button', { name: 'Christabel-Louise' }).click();
  await expect(page.getByText(/^Christabel-Louise: 160 mm/)).toBeVisible();
  await page.getByRole('button', { name: 'Save these 2 names' }).click();
  await page.waitForURL(`${server.address}/artwork`);
  await expect(page.getByRole('link', { name: /Ole/ }).first()).toBeVisible();
  await page
    .getByRole('link', { name: /Christabel-Louise/ })
    .first()
    .click();
  await running(page);
  await expect(page.getByLabel('Width', { exact: true })).toHaveValue('160');
});

test('a layer wider than its vinyl is parted into loads that keep their vinyl; a layer may be a stencil', async ({
  page,
}) => {
  await drop(
    page,
    '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 400 100"><g fill="#3f5e86"><rect width="180" height="50"/><rect x="200" width="200" height="50"/></g></svg>',
    'long.svg',
  );
  await page.getByLabel('Width', { exact: true }).fill('500');
  const layers = page.getByRole('region', { name: 'Layers' });
  await layers.getByRole('combobox').first().click();
  await page.getByRole('option').nth(1).click();
  const checks = page.getByRole('region', { name: 'Checks' });
  await checks.getByRole('button', { name: 'Divide it into loads' }).click();
  await expect(layers.getByRole('textbox')).toHaveCount(2);
  await expect(checks).not.toContainText('its vinyl takes');
  await layers.getByRole('combobox', { name: /What .* load 2 is for/ }).click();
  await page.getByRole('option', { name: 'a stencil or template' }).click();
  await expect(page.getByText('not mirrored: a stencil').first()).toBeVisible();
  await expect(page.getByRole('region', { name: 'For the cutter' })).toContainText('1 of them mirrored');
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('region', { name: 'For the cutter' })).toContainText(
    '2 layers, a file each, in mm, mirrored',
  );
});

test('a heavy drawing is shown before it is measured, and measuring it can be stopped and taken up again', async ({
  page,
}) => {
  const waves = Array.from({ length: 2600 }, (_, index) => {
    const x = (index % 52) * 20,
      y = Math.floor(index / 52) * 20;
    return `<path d="M${Array.from({ length: 60 }, (__, k) => `${(x + 8 * (1 + 0.15 * Math.sin(k * 0.7)) * Math.cos((k / 60) * 6.2832)).toFixed(2)} ${(y + 8 * (1 + 0.15 * Math.sin(k * 0.7)) * Math.sin((k / 60) * 6.2832)).toFixed(2)}`).join('L')}z"/>`;
  });
  // How long it takes is the machine's to say: what is asked of the worker waits until it was stopped.
  await page.addInitScript(() => {
    const send = Worker.prototype.postMessage;
    const waiting: (() => void)[] = [];
    addEventListener('let-measure', () => waiting.splice(0).forEach((go) => go()));
    Worker.prototype.postMessage = function (message, ...rest: never[]) {
      const go = () => send.call(this, message, ...rest);
      if (message?.path?.[0] === 'prepare') waiting.push(go);
      else go();
    };
  });
  await open(page, `${server.address}/artwork/new`);
  await page.getByLabel('Drawing file').setInputFiles({
    name: 'waves.svg',
    mimeType: 'image/svg+xml',
    buffer: Buffer.from(`<svg xmlns="http://www.w3.org/2000/svg" viewBox="-10 -10 1060 1020">${waves.join('')}</svg>`),
  });
  await expect(page.getByRole('img', { name: 'The drawing, not measured yet' })).toBeVisible();
  await page.getByRole('button', { name: 'Stop' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'Measuring was stopped' })).toBeVisible();
  await page.getByRole('button', { name: 'Go on with it' }).click();
  await expect(page.getByRole('button', { name: 'Stop' })).toBeVisible();
  await page.evaluate(() => dispatchEvent(new Event('let-measure')));
  await expect(page.getByRole('heading', { name: /1 layer, 2600 pieces/ })).toBeVisible({ timeout: 60_000 });
});

test('two windows: the second save of an artwork is told, and what was typed stays', async ({ page, context }) => {
  const other = await context.newPage();
  for (const window of [page, other]) await open(window, `${server.address}/artwork/6`);
  await page.getByLabel('Name', { exact: true }).fill('Paw, large');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
  await other.getByLabel('Name', { exact: true }).fill('Paw, small');
  await other.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(other.getByRole('alert')).toContainText('changed in another window');
  await expect(other.getByLabel('Name', { exact: true })).toHaveValue('Paw, small');
});

test('a picture is traced: colours, dirt and ground can be changed, and it is kept as a drawing', async ({ page }) => {
  await open(page, `${server.address}/artwork/new`);
  const png = await page.evaluate(async () => {
    const canvas = new OffscreenCanvas(300, 200);
    const context = canvas.getContext('2d')!;
    context.fillStyle = '#ffffff';
    context.fillRect(0, 0, 300, 200);
    context.fillStyle = '#a5343c';
    context.beginPath();
    context.arc(110, 100, 70, 0, 7);
    context.fill();
    context.fillStyle = '#3f5e86';
    context.fillRect(190, 40, 80, 120);
    context.fillRect(20, 15, 3, 3);
    return [...new Uint8Array(await (await canvas.convertToBlob({ type: 'image/png' })).arrayBuffer())];
  });
  await page
    .getByLabel('Drawing file')
    .setInputFiles({ name: 'my badge.png', mimeType: 'image/png', buffer: Buffer.from(png) });
  const layers = page.getByRole('region', { name: 'Layers' });
  await expect(layers.getByRole('textbox')).toHaveCount(2);
  await expect(layers).toContainText('1.'); // a path length in metres
  await page.getByLabel('Traced to').click();
  await page.getByRole('option', { name: '1 colour', exact: true }).click();
  await expect(layers.getByRole('textbox')).toHaveCount(1);
  await page.getByRole('button', { name: 'Save this artwork' }).click();
  // The desk has that heading too: only the address tells that it is kept.
  await page.waitForURL(/\/artwork\/\d+$/);
  await expect(page.getByRole('heading', { name: 'my badge' })).toBeVisible();
  await open(page, `${server.address}/artwork/new`);
  await page
    .getByLabel('Drawing file')
    .setInputFiles({ name: 'broken.png', mimeType: 'image/png', buffer: Buffer.from('no picture') });
  await expect(page.getByRole('alert')).toContainText('can’t be opened');
  // Forty thousand by forty thousand, by its head: opened, it would take 6 GB.
  const head = Buffer.from('89504e470d0a1a0a0000000d4948445200009c4000009c400802000000', 'hex');
  await page
    .getByLabel('Drawing file')
    .setInputFiles({ name: 'huge.png', mimeType: 'image/png', buffer: Buffer.concat([head, Buffer.alloc(64)]) });
  await expect(page.getByRole('alert')).toContainText(
    'The picture has 1,600,000,000 pixels; up to 80,000,000 are traced. Scale it down, then try again.',
  );
});

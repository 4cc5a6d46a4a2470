// A drawing made ready: what is found is mended by one button and undone by another; files come out as they should; words become a drawing.

import { readFileSync } from 'node:fs';
import { unzipSync } from 'fflate';
import { expect, test, type Download, type Page } from '@playwright/test';
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
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('region', { name: 'For the cutter' }).getByRole('button', { name: button, exact: true }).click()]) as [Download, void];
  return { name: download.suggestedFilename(), bytes: readFileSync(await download.path()) };
}

test('each finding has its remedy, a place in the list of steps, and a way back', async ({ page }) => {
  await drop(page, DRAWING);
  const checks = page.getByRole('region', { name: 'Checks' });
  await expect(checks).toContainText('shapes cross each other');
  await expect(checks).toContainText('1 line drawn as strokes');
  await expect(checks).toContainText('strokes down to 0.8 mm');
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
  await page.getByRole('button', { name: 'Keep this artwork' }).click();
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
  const zip = await save(page, 'All as a zip');
  const files = unzipSync(zip.bytes);
  expect(Object.keys(files).sort()).toEqual(['Cogwheel spark mirrored.dxf', 'Cogwheel spark mirrored.plt', 'Cogwheel spark mirrored.svg', 'Cogwheel wheel mirrored.dxf', 'Cogwheel wheel mirrored.plt', 'Cogwheel wheel mirrored.svg']);
  const wheel = new TextDecoder().decode(files['Cogwheel wheel mirrored.svg']);
  const ruler = await page.evaluate((text) => {
    const svg = new DOMParser().parseFromString(text, 'image/svg+xml').documentElement as unknown as SVGSVGElement;
    document.body.append(svg);
    const path = svg.querySelector('path')!;
    const answer = { length: path.getTotalLength(), width: path.getBBox().width };
    svg.remove();
    return answer;
  }, wheel);
  const { measurement } = await (await page.request.get(`${server.address}/api/artwork/5`)).json() as { measurement: { layers: { outlineLengthMm: number; box: { width: number } }[] } };
  expect(ruler.length / measurement.layers[0]!.outlineLengthMm).toBeCloseTo(1, 3);
  expect(ruler.width / measurement.layers[0]!.box.width).toBeCloseTo(1, 3);
});

test('the weeding map shows what comes out and how many', async ({ page }) => {
  await open(page, `${server.address}/artwork/3`);
  await page.keyboard.press('w');
  await expect(page.getByRole('img', { name: /weeding map/ })).toContainText('91');
});

test('words become a drawing: a typeface without a letter says so, an arc bends, the pair has two layers', async ({ page }) => {
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
  await page.getByRole('button', { name: 'Keep this lettering' }).click();
  await expect(page.getByRole('heading', { name: 'Möwe' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Layers' }).getByRole('textbox')).toHaveCount(2);
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
  await page.getByLabel('Drawing file').setInputFiles({ name: 'my badge.png', mimeType: 'image/png', buffer: Buffer.from(png) });
  const layers = page.getByRole('region', { name: 'Layers' });
  await expect(layers.getByRole('textbox')).toHaveCount(2);
  await expect(layers).toContainText('1.'); // a path length in metres
  await page.getByLabel('Traced to').click();
  await page.getByRole('option', { name: '1 colour', exact: true }).click();
  await expect(layers.getByRole('textbox')).toHaveCount(1);
  await page.getByRole('button', { name: 'Keep this artwork' }).click();
  await expect(page.getByRole('heading', { name: 'my badge' })).toBeVisible();
  await open(page, `${server.address}/artwork/new`);
  await page.getByLabel('Drawing file').setInputFiles({ name: 'broken.png', mimeType: 'image/png', buffer: Buffer.from('no picture') });
  await expect(page.getByRole('alert')).toContainText('can’t be opened');
});

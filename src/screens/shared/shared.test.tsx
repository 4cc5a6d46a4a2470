// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { PLAIN_ITEM, PLAIN_SHOP } from '../../../test/worked-example';
import { computeItemCost, type ItemCost } from '../../core/costing';
import { computeFloor, readPrice } from '../../core/pricing';
import { figure, minor } from '../../core/units';
import type { ShopView } from '../../views/frame';
import { Comb } from './Comb';
import { CostStrip } from './CostStrip';
import { PriceRule } from './PriceRule';
import { SeamView } from './SeamView';
import { SettingsProvider, toSettings } from './settings';
import { Slack } from './Slack';
import { Timeline } from './Timeline';
import { Why } from './Why';

class Observer {
  observe(): void {}
  disconnect(): void {}
}
vi.stubGlobal('ResizeObserver', Observer);
afterEach(cleanup);
const SHOP: ShopView = {
  name: 'Try-out',
  currency: 'EUR',
  locale: 'en-GB',
  timeZone: 'UTC',
  figures: PLAIN_SHOP,
  simulated: false,
  confirmed: true,
  version: 1,
};
const show = (element: React.ReactElement, system: 'metric' | 'inch' = 'metric') =>
  render(<SettingsProvider value={toSettings(SHOP, system)}>{element}</SettingsProvider>);
const cost: ItemCost = (() => {
  const result = computeItemCost(PLAIN_ITEM, 10, PLAIN_SHOP);
  if (!result.ok) throw new Error(result.problem.kind);
  return result.value;
})();

describe('a figure tells why', () => {
  const area = figure('Box', 7700, 'mm²', 'computed', {
    how: 'width × height',
    parts: [figure('Width', 110, 'mm', 'measured'), figure('Height', 70, 'mm', 'measured')],
  });

  it('by a click or by =, with parts, sources and the sum in words; Esc closes', () => {
    show(<Why figure={area} />);
    const button = screen.getByRole('button', { name: 'Box: 77.0 cm², show working' });
    fireEvent.keyDown(button, { key: '=' });
    const dialog = screen.getByRole('dialog', { name: 'Working: Box' });
    expect(within(dialog).getByText('width × height')).toBeTruthy();
    expect(within(dialog).getByText('110 mm')).toBeTruthy();
    expect(within(dialog).getAllByText('measured')).toHaveLength(2);
    fireEvent.keyDown(dialog, { key: 'Escape' });
    fireEvent.click(button);
    expect(screen.getByRole('dialog', { name: 'Working: Box' })).toBeTruthy();
  });

  it('in inches where inches are chosen, with its band', () => {
    show(<Why figure={figure('Weed', 120, 's', 'learned', { low: 90, high: 180 })} />);
    fireEvent.click(screen.getByRole('button'));
    expect(screen.getByText('likely 1.5 min to 3.0 min')).toBeTruthy();
    expect(screen.getByText('source: learned')).toBeTruthy();
    cleanup();
    show(<Why figure={figure('Width', 254, 'mm', 'measured')} />, 'inch');
    expect(screen.getByRole('button').textContent).toBe('10 in');
  });
});

describe('the price rule', () => {
  const marks = [
    { label: 'cash', figure: cost.cash, tone: 'soft' },
    { label: 'with risk', figure: cost.withRisk, tone: 'bad' },
  ] as const;
  const floor = computeFloor(cost, PLAIN_SHOP);
  const rule = (price: number, onChange: (price: number) => void) =>
    show(<PriceRule price={price} floor={floor.ok ? floor.value.value : null} marks={marks} onChange={onChange} />);

  it.each([
    ['ArrowRight', {}, 1510],
    ['ArrowLeft', {}, 1490],
    ['ArrowUp', { shiftKey: true }, 1501],
    ['PageUp', {}, 1600],
    ['PageDown', {}, 1400],
    ['Home', {}, 680],
  ])('%s moves the price', (key, modifiers, expected) => {
    const onChange = vi.fn();
    rule(1500, onChange);
    fireEvent.keyDown(screen.getByRole('slider', { name: 'Price' }), { key, ...modifiers });
    expect(onChange).toHaveBeenCalledExactlyOnceWith(expected);
  });

  it('never goes below nought, says its price, and leaves other keys alone', () => {
    const onChange = vi.fn();
    rule(5, onChange);
    const slider = screen.getByRole('slider');
    expect(slider.getAttribute('aria-valuetext')).toBe('0.05');
    fireEvent.keyDown(slider, { key: 'ArrowLeft' });
    expect(onChange).toHaveBeenLastCalledWith(0);
    fireEvent.keyDown(slider, { key: 'a' });
    expect(onChange).toHaveBeenCalledTimes(1);
  });

  it('names its marks with their amounts', () => {
    const { container } = rule(1500, () => undefined);
    expect(container.textContent).toContain('cash 4.61');
    expect(container.textContent).toContain('with risk 6.16');
  });
});

describe('the cost strip', () => {
  it('has a segment for each line that costs something, the fee, and what is yours', () => {
    show(<CostStrip cost={cost} reading={readPrice(minor(1500), cost, PLAIN_SHOP)} />);
    const names = within(screen.getByRole('group', { name: 'Where the price goes' }))
      .getAllByRole('button')
      .map((button) => button.getAttribute('aria-label'));
    expect(names[0]).toBe('Tea towel, one size: 4.00, show working');
    expect(names.at(-1)).toMatch(/^Yours: 7\.79/);
    expect(names.filter((name) => name!.startsWith('Fee'))).toHaveLength(1);
  });

  it('says short where the price does not cover the cost', () => {
    show(<CostStrip cost={cost} reading={readPrice(minor(500), cost, PLAIN_SHOP)} />);
    expect(screen.getByText('short')).toBeTruthy();
  });
});

describe('comb, slack and timeline', () => {
  const tooth = (partId: number, state: 'to-cut' | 'cut' | 'checked', broken = false) => ({
    partId,
    state,
    broken,
    colour: '#000000',
  });

  it('the comb says in words what it shows', () => {
    show(
      <Comb
        columns={[
          { pieceId: 1, number: 1, pieces: 1, teeth: [tooth(1, 'checked'), tooth(2, 'cut')] },
          { pieceId: 2, number: 2, pieces: 1, teeth: [tooth(3, 'to-cut', true), tooth(4, 'cut')] },
        ]}
      />,
    );
    expect(screen.getByRole('img').getAttribute('aria-label')).toBe(
      '2 pieces, 4 parts: 1 to cut, 2 cut, 1 checked, 1 spoiled',
    );
    expect(screen.getByTitle('piece 2: spoiled, cut')).toBeTruthy();
  });

  it('slack is spare or short, never a bare minus', () => {
    show(
      <>
        <Slack slack={figure('Spare', 7200, 's', 'computed')} />
        <Slack slack={figure('Short', -5400, 's', 'computed')} />
        <Slack slack={null} />
      </>,
    );
    expect(screen.getByText('spare 2 h 00')).toBeTruthy();
    expect(screen.getByText('short 1 h 30')).toBeTruthy();
    expect(screen.getByText('none needed')).toBeTruthy();
  });

  it('the timeline tells what is logged and what is planned', () => {
    const hour = 3_600_000;
    show(
      <Timeline
        startMs={8 * hour}
        endMs={16 * hour}
        nowMs={10 * hour}
        blocks={[
          {
            track: 'hands',
            station: 'weed',
            label: 'Aprons',
            startMs: 9 * hour,
            endMs: 9.5 * hour,
            planned: false,
            key: 'a',
          },
          {
            track: 'cutter',
            station: 'cut',
            label: 'Towels',
            startMs: 10 * hour,
            endMs: 11 * hour,
            planned: true,
            key: 'b',
          },
          {
            track: 'press',
            station: 'press',
            label: 'Yesterday',
            startMs: hour,
            endMs: 2 * hour,
            planned: false,
            key: 'c',
          },
        ]}
      />,
    );
    expect(screen.getByRole('img').getAttribute('aria-label')).toBe(
      'The day: 1 stretches logged, 1 planned. cut Towels at 10:00',
    );
    expect(screen.getByText('now 10:00')).toBeTruthy();
  });
});

describe('the seam', () => {
  const picture = {
    width: 100,
    height: 50,
    layers: [
      { colour: '#ff0000', path: 'M0 0l10 0l0 10z', cavities: 'M2 2l2 0l0 2z', groups: [{ x: 5, y: 5, cavities: 1 }] },
      { colour: '#0000ff', path: 'M20 0l10 0l0 10z' },
    ],
  };
  const seam = (part: object = {}) =>
    show(
      <SeamView
        picture={picture}
        mirrored={[true, false]}
        cutCaption="mirrored: carrier down"
        size="100 × 50 mm"
        name="Oars"
        weeding
        marks={[{ x: 10, y: 10, widthMm: 0.5, kind: 'stroke' }]}
        widthMm={100}
        {...part}
      />,
    );

  it('X crosses: both sides, as worn, as cut', () => {
    seam();
    expect(screen.getAllByRole('img')).toHaveLength(2);
    fireEvent.keyDown(window, { key: 'x' });
    expect(screen.getByRole('img').getAttribute('aria-label')).toBe('Oars, as worn');
    fireEvent.keyDown(window, { key: 'x' });
    expect(screen.getByRole('img').getAttribute('aria-label')).toBe('Oars, as cut, mirrored: carrier down');
    fireEvent.click(screen.getByRole('button', { name: 'Cross the seam' }));
    expect(screen.getAllByRole('img')).toHaveLength(2);
  });

  it('mirrors each layer by its own vinyl, and only as cut', () => {
    seam();
    const [worn, cut] = screen.getAllByRole('img');
    expect(worn!.querySelectorAll('g[transform]')).toHaveLength(0);
    expect([...cut!.querySelectorAll(':scope > g')].map((layer) => layer.getAttribute('transform'))).toEqual([
      'translate(100 0) scale(-1 1)',
      null,
      'translate(100 0) scale(-1 1)',
    ]);
  });

  it('marks what would fail on both sides; W shows instead what comes out, with its count', () => {
    seam();
    expect(document.querySelectorAll('circle.fail.stroke')).toHaveLength(2);
    fireEvent.keyDown(window, { key: 'w' });
    const map = screen.getByRole('img', { name: /weeding map/ });
    expect(within(map).getByText('1')).toBeTruthy();
    expect(document.querySelectorAll('circle.fail')).toHaveLength(0);
    expect(screen.getByRole('button', { name: 'Print it' })).toBeTruthy();
  });
});

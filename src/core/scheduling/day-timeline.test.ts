// The rest of a day on its three tracks, minute by minute.

import { describe, expect, it } from 'vitest';
import type { Station } from '../orders';
import { getTrack, planTimeline, TRACKS, type TimelineJob } from './index';

const MINUTE_MS = 60_000;
const job = (
  key: string,
  minutes: Partial<Record<Station | 'machine', number>>,
  dueDay = '2026-12-01',
): TimelineJob => ({
  key,
  label: `job ${key}`,
  dueDay,
  seconds: {
    cut: (minutes.cut ?? 0) * 60,
    weed: (minutes.weed ?? 0) * 60,
    press: (minutes.press ?? 0) * 60,
    check: (minutes.check ?? 0) * 60,
  },
  machineSeconds: (minutes.machine ?? 0) * 60,
});

/** Blocks as "track station from-to" in minutes. */
const plan = (jobs: readonly TimelineJob[], untilMinutes = 600) =>
  planTimeline({ jobs, fromMs: 0, untilMs: untilMinutes * MINUTE_MS }).map(
    (block) => `${block.label} ${block.track} ${block.station} ${block.startMs / MINUTE_MS}-${block.endMs / MINUTE_MS}`,
  );

describe('a day’s timeline', () => {
  it('one job goes through its stations: the cutter first, then hands, the press, hands', () => {
    expect(plan([job('a', { cut: 5, machine: 30, weed: 10, press: 15, check: 2 })])).toEqual([
      'job a cutter cut 0-30',
      'job a hands weed 30-40',
      'job a press press 40-55',
      'job a hands check 55-57',
    ]);
  });

  it('hands are free as soon as the cutter is loaded, and no sooner', () => {
    expect(plan([job('a', { cut: 5, machine: 30 }), job('b', { weed: 10 }, '2026-12-02')])).toEqual([
      'job a cutter cut 0-30',
      'job b hands weed 5-15',
    ]);
    // Watched longer than it cuts.
    expect(plan([job('a', { cut: 12, machine: 3, weed: 4 })])).toEqual([
      'job a cutter cut 0-12',
      'job a hands weed 12-16',
    ]);
  });

  it('jobs come by the day they are due, those of one day as they are given; what takes no time has no block', () => {
    const due = (key: string, day: string) => job(key, { weed: 10 }, day);
    const jobs = [due('d', '2026-12-03'), due('b', '2026-12-01'), due('a', '2026-12-01'), due('c', '2026-12-02')];
    expect(plan(jobs).map((block) => block.slice(4, 5))).toEqual(['b', 'a', 'c', 'd']);
    expect(plan([job('a', {})])).toEqual([]);
  });

  it('the cutter runs on alone while the next thing is done by hand', () => {
    const weeding = job('b', { weed: 10, press: 15, check: 2 }, '2026-12-02');
    expect(plan([job('a', { cut: 5, machine: 30, weed: 10 }), weeding])).toEqual([
      'job a cutter cut 0-30',
      'job a hands weed 30-40',
      'job b hands weed 40-50',
      'job b press press 50-65',
      'job b hands check 65-67',
    ]);
    // What can begin at once is begun while another is cut: it is due first.
    expect(plan([job('a', { cut: 5, machine: 30, weed: 10 }), { ...weeding, dueDay: '2026-11-30' }])).toEqual([
      'job b hands weed 0-10',
      'job b press press 10-25',
      'job b hands check 25-27',
      'job a cutter cut 27-57',
      'job a hands weed 57-67',
    ]);
  });

  it('a second load waits for the cutter and for free hands', () => {
    const second = job('b', { cut: 5, machine: 20 }, '2026-12-02');
    expect(plan([job('a', { cut: 5, machine: 30 }), second])).toEqual([
      'job a cutter cut 0-30',
      'job b cutter cut 30-50',
    ]);
    expect(plan([job('a', { cut: 5, machine: 30, weed: 60 }), second])).toEqual([
      'job a cutter cut 0-30',
      'job a hands weed 30-90',
      'job b cutter cut 90-110',
    ]);
  });

  it('a cut that hands watch longer than the machine runs takes as long as they do', () => {
    expect(plan([job('a', { cut: 8, machine: 3, weed: 1 })])).toEqual(['job a cutter cut 0-8', 'job a hands weed 8-9']);
  });

  it('what takes no time has no block; what begins after the day has none, and what runs over it ends with it', () => {
    expect(plan([job('a', { check: 5 })])).toEqual(['job a hands check 0-5']);
    expect(plan([job('a', {})])).toEqual([]);
    const long = [job('a', { cut: 5, machine: 30, weed: 10, press: 15 })];
    expect(plan(long, 35)).toEqual(['job a cutter cut 0-30', 'job a hands weed 30-35']);
    expect(plan(long, 30)).toEqual(['job a cutter cut 0-30']);
  });

  it('blocks say what they are of', () => {
    const [block] = planTimeline({ jobs: [job('a', { weed: 1 })], fromMs: 5, untilMs: 1e9 });
    expect(block).toEqual({
      track: 'hands',
      station: 'weed',
      label: 'job a',
      startMs: 5,
      endMs: 5 + MINUTE_MS,
      planned: true,
      key: 'a-weed',
    });
    expect((['cut', 'weed', 'press', 'check'] as const).map(getTrack)).toEqual(['cutter', 'hands', 'press', 'hands']);
    expect(TRACKS).toEqual(['cutter', 'hands', 'press']);
  });

  it('jobs of one day keep their order', () => {
    const jobs = ['c', 'a', 'b'].map((key) => job(key, { weed: 1 }));
    expect(plan(jobs).map((words) => words.split(' ')[1])).toEqual(['c', 'a', 'b']);
  });
});

// The rest of the day laid out on three tracks: what the cutter, the hands and the press would do if all goes as
// estimated.

import type { Station } from '../orders';

export type Track = 'cutter' | 'hands' | 'press';
export const TRACKS: readonly Track[] = ['cutter', 'hands', 'press'];
export type TimelineBlock = {
  readonly track: Track;
  readonly station: Station;
  readonly label: string;
  readonly startMs: number;
  readonly endMs: number;
  readonly planned: boolean;
  readonly key: string;
};
export type TimelineJob = {
  readonly key: string;
  readonly label: string;
  readonly dueDay: string;
  readonly seconds: Readonly<Record<Station, number>>;
  readonly machineSeconds: number;
};

const STATION_TRACKS: Readonly<Record<Station, Track>> = {
  cut: 'cutter',
  weed: 'hands',
  press: 'press',
  check: 'hands',
};
export const getTrack = (station: Station): Track => STATION_TRACKS[station];

/**
 * Planned blocks from `fromMs` on, jobs by due day, each through cut, weed, press and check in turn. The person works
 * at one thing at a time (loading, weeding, pressing, checking); the cutter runs on alone after it was loaded.
 */
export function planTimeline(input: {
  readonly jobs: readonly TimelineJob[];
  readonly fromMs: number;
  readonly untilMs: number;
}): readonly TimelineBlock[] {
  const blocks: TimelineBlock[] = [];
  let personFree = input.fromMs;
  let cutterFree = input.fromMs;
  const ready = new Map<string, number>();
  const put = (job: TimelineJob, station: Station, startMs: number, endMs: number) => {
    if (endMs > startMs && startMs < input.untilMs)
      blocks.push({
        track: STATION_TRACKS[station],
        station,
        label: job.label,
        startMs,
        endMs: Math.min(endMs, input.untilMs),
        planned: true,
        key: `${job.key}-${station}`,
      });
  };
  const jobs = [...input.jobs].sort((a, b) => (a.dueDay < b.dueDay ? -1 : a.dueDay > b.dueDay ? 1 : 0));
  for (const job of jobs) {
    if (job.seconds.cut + job.machineSeconds > 0) {
      const start = Math.max(personFree, cutterFree);
      personFree = start + job.seconds.cut * 1000;
      cutterFree = start + Math.max(job.seconds.cut, job.machineSeconds) * 1000;
      put(job, 'cut', start, cutterFree);
      ready.set(job.key, cutterFree);
    }
    let at = ready.get(job.key) ?? input.fromMs;
    for (const station of ['weed', 'press', 'check'] as const) {
      if (job.seconds[station] <= 0) continue;
      const start = Math.max(personFree, at);
      at = personFree = start + job.seconds[station] * 1000;
      put(job, station, start, at);
    }
  }
  return blocks;
}

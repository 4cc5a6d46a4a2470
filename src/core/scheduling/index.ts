// Due days, slack, queues and the day's timeline.
export * from './free-time';
export * from './slack';
export * from './bench-queue';
export * from './day-timeline';
export * from './earliest-day';
export * from './day-loads';
export * from './stall-wait';
export * from './work-progress';
export * from './instructions';
export * from './later-looks';

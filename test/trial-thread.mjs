// A thread that does as it is told, for the tests of the queue: work, wait, die, take memory.

import { readlinkSync } from 'node:fs';

const number = Number(readlinkSync('/proc/thread-self').split('/').at(-1));
let hasTidied = false;
const work = (ms) => {
  const end = performance.now() + ms;
  while (performance.now() < end);
};

export default async function run({ task, meter }) {
  Atomics.store(new Int32Array(meter), 0, number);
  switch (task.do) {
    case 'work':
      work(task.ms);
      return task.answer;
    case 'wait':
      await new Promise((resolve) => setTimeout(resolve, task.ms));
      return task.answer;
    case 'tidy later':
      setTimeout(() => (hasTidied = true), 20);
      return null;
    case 'tell tidied':
      return hasTidied;
    case 'which':
      return number;
    case 'die':
      await new Promise((resolve) => setTimeout(resolve, 300));
      return process.exit(1);
    case 'throw':
      throw new RangeError('thrown');
    case 'fill': {
      const held = [];
      for (;;) held.push(new Array(1e6).fill(0.5 + held.length));
    }
  }
}

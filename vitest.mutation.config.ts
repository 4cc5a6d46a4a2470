// The tests that planted faults are held against: those of the room that is mutated, and of the rooms it is for.

import { defineConfig, mergeConfig } from 'vitest/config';
import base from './vitest.config';
import rooms from './mutation-rooms.json';

const room = process.env['MUTATE'] as keyof typeof rooms | undefined;
const own = mergeConfig(base, defineConfig({}));
own.test.include = (room ? [rooms[room]] : Object.values(rooms)).flatMap(({ tests }) => tests);
export default own;

// Examples that several tests share.

import { rectangle } from '../../core/stock/index';

/** What is left across the whole width behind `usedMm`. */
export const behind = (widthMm: number, usedMm: number, lengthMm: number) =>
  rectangle(widthMm, lengthMm).map((point) => ({ x: point.x, y: point.y + usedMm }));

export const SLATE = 'Tarn Smooth, slate';

// The shop's figures as they stand on its page.

import type { ShopFigureKey } from '../../core/materials';

export const FIGURE_GROUPS: readonly { readonly title: string; readonly keys: readonly ShopFigureKey[] }[] = [
  { title: 'Your hour, goals and fee', keys: ['wagePerHour', 'wageGoalPerHour', 'marginGoal', 'markupGoal', 'rushShare', 'setShare', 'feeShare', 'feeFixed', 'spoilageShare', 'packaging', 'overheadPerHour', 'overheadPerItem'] },
  { title: 'Hours you work', keys: ['dayStartHour', 'hoursMonday', 'hoursTuesday', 'hoursWednesday', 'hoursThursday', 'hoursFriday', 'hoursSaturday', 'hoursSunday'] },
  { title: 'Set-up and checking', keys: ['setupSeconds', 'setupPerVinylSeconds', 'checkSeconds'] },
  { title: 'Cutter', keys: ['cutterSpeed', 'cutterCornerSeconds', 'cutterLiftSeconds', 'cutterLoadSeconds', 'cutterWatchSeconds', 'cutterRatePerHour', 'cutterEdgeMm', 'leadMm', 'weedMarginMm', 'matWidthMm', 'matLengthMm', 'matEdgeMm'] },
  { title: 'Weeding', keys: ['weedBaseSeconds', 'weedPerMetreSeconds', 'weedPerCavitySeconds', 'weedPerTinyBitSeconds', 'weedPerFineMetreSeconds'] },
  { title: 'Stones', keys: ['stoneFieldSeconds', 'stoneSeconds'] },
  { title: 'Press', keys: ['pressLayOutSeconds', 'prePressSeconds', 'pressPlaceSeconds', 'pressTackSeconds', 'pressPeelSeconds', 'rePressSeconds', 'pressWarmUpSeconds', 'pressWatts', 'energyPerKwh', 'applySeconds'] },
  { title: 'Tape and wear', keys: ['tapePerM2', 'tapeUses', 'bladePrice', 'bladeLifeMetres', 'matPrice', 'matLifeLoads', 'coverSheetPrice', 'coverSheetPresses', 'pillowPrice', 'pillowPresses', 'heatTape'] },
];

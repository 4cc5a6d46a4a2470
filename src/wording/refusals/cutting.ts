// Refusals at the cutter: what it can't take, and what is to be done first.

import type { OwnFigureProblem } from '../../core/cutting';
import { formatLength, type FormatSettings } from '../../core/units';

export const CUTTING = {
  'load-changed': () =>
    'This load is another now, perhaps since another window. Stop this work, then start it again from the queue.',
  'load-no-stock': () =>
    'This load lies on a piece of vinyl that is not in your stock. Add it to the stock first, or lay the load out on another lot.',
  'load-done-by-booking': () => 'A load is finished by booking it: go to its last step.',
  'no-such-sheet': () => 'This load has no such sheet. Reload the page.',
  'cutter-none': () => 'No cutter is connected. Take the file to it, and say here when it is cut.',
  'cutter-off': () => 'The cutter does not answer. See to its plug and its cable, then try again.',
  'cutter-empty': () => 'Nothing is loaded. Load the vinyl first, and let the cutter read its width.',
  'cutter-busy': () => 'The cutter is at work. Wait until it is done, or stop it first.',
  'cutter-no-job': () => 'The cutter has nothing to do that could be changed. It may be done already.',
  'cutter-unreadable': () => 'The cutter does not understand this load. Lay it out again.',
  'width-unknown': () => 'The cutter senses no width. Read it off, and type it here.',
  'too-narrow': ({ readMm, neededMm, settings }: { readMm: number; neededMm: number; settings: FormatSettings }) =>
    `It is ${formatLength(readMm, settings)} wide, and the outermost cut needs ${formatLength(neededMm, settings)}. Load it again, straight; if it stays so, lay this load out anew.`,
  'setting-missing': () => 'Say with which setting: force, speed, passes and blade.',
  'result-missing': () => 'Say how the test cut came out.',
  'figure-missing': () => 'Choose the drawing that is to be cut.',
  'figure-refused': ({ problem }: { problem: OwnFigureProblem }) =>
    problem.kind === 'figure-empty'
      ? 'Nothing in this drawing is cut. Choose another for the figure.'
      : `This drawing has ${problem.points} corners, and a figure of test cuts ${problem.most} at most. Choose a plainer one, or a part of it.`,
  'ladder-closed': () => 'This ladder is closed. Begin another, or ask for more certainty to go on with it.',
  'ladder-nothing-told': () => 'Nothing was told yet: there is nothing to take back.',
  'ladder-not-clean': () => 'No cut came out clean yet. Go on until one does.',
  'lot-of-other': () => 'This lot is of another vinyl. Choose one of its own lots.',
  'log-too-slow': () =>
    'Looking through the log takes too long just now. Your figures are as they were: try again later.',
  'nothing-learned': () => 'The log says too little yet. Work with the clock running, and come back.',
  'same-twice': () => 'Two of them are the same lot of the same vinyl: nothing would tell them apart.',
  'more-lost-than-made': () => 'More were lost than were made. Count again: pieces of the drawing, not bits of it.',
  'nothing-pressed': () => 'Nothing of this was pressed that could be looked at later.',
  'looked-at-before': () => 'Somebody wrote down what was seen of it already. Take that back first.',
  'how-sure-missing': () => 'Say how sure it is to be.',
  'not-by-itself': () => 'Only a simulated cutter sees what it cuts. Say yourself how each figure came out.',
  'width-first': () => 'Load it first, and let the cutter read the width.',
  'test-first': () => 'A test cut comes first. Cut one until it is clean, or say that it is cut untested.',
  'sheet-cut-already': () => 'This sheet is cut already.',
  'nothing-to-give-up': () => 'Nothing of this sheet is cut yet: there is nothing to give up.',
};

// The texts as they are set, in a worker; asked for again whenever what is typed changes.

import { type Form, toOptions } from './lettering-form';
import { type NamedText, splitNames } from './NameList';
import { type Asking, useLatest } from '../shared/use-latest';
import { useState } from 'react';
import { letterInWorker } from '../../workers/source-client';
import { loadTypeface } from './typeface-files';

/** Sets the text, or each line of a list, in the worker whenever the form changes; the last good one stays. */
export function useSetTexts(form: Form): { readonly set: readonly NamedText[]; readonly asking: Asking } {
  const [set, take] = useState<readonly NamedText[]>([]);
  const options = toOptions(form);
  const texts = form.list ? splitNames(form.text) : form.text.trim() === '' ? [] : [form.text];
  const asking = useLatest(
    texts.length > 0 && options ? JSON.stringify([texts, form.typeface, options]) : null,
    150,
    async (signal) => ({
      texts,
      answers: await letterInWorker(
        { texts, fontKey: form.typeface, loadFont: () => loadTypeface(form.typeface), options: options! },
        signal,
      ),
    }),
    ({ texts: asked, answers }) => take(asked.map((text, index) => ({ text, answer: answers[index]! }))),
  );
  return { set: texts.length === 0 ? [] : set, asking };
}

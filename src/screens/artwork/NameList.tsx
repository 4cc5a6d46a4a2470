// The names of a list as they come out: how large each gets, and which can't be set.

import { formatLength, type Result } from '../../core/units';
import type { LetterProblem } from '../../core/artwork/lettering/letter';
import { describeLetterProblem } from '../../wording/problems';
import type { SetText } from '../../workers/source-client';
import { useSettings } from '../shared/settings';

export type NamedText = { readonly text: string; readonly answer: Result<SetText, LetterProblem> };
export const MOST_NAMES = 200;

/** The lines that say something, spaces tidied; the same name twice is wanted twice. */
export const splitNames = (text: string): readonly string[] =>
  text
    .split('\n')
    .map((line) => line.replace(/\s+/g, ' ').trim())
    .filter((line) => line !== '')
    .slice(0, MOST_NAMES);

/** A name that comes out wider than the place for it is made smaller as a whole. */
export function fitWidth(text: SetText, widestMm: number | null): SetText {
  if (widestMm === null || text.widthMm <= widestMm) return text;
  return { ...text, widthMm: widestMm, heightMm: (text.heightMm * widestMm) / text.widthMm };
}

type Props = {
  readonly texts: readonly NamedText[];
  readonly widestMm: number | null;
  readonly chosen: number;
  readonly onChoose: (index: number) => void;
};

export function NameList({ texts, widestMm, chosen, onChoose }: Props) {
  const settings = useSettings();
  return (
    <ol className="name-list" aria-label="Names">
      {texts.map(({ text, answer }, index) => {
        const fitted = answer.ok ? fitWidth(answer.value, widestMm) : null;
        return (
          <li key={index} className={fitted ? undefined : 'bad'}>
            <button type="button" className="quiet" aria-pressed={index === chosen} onClick={() => onChoose(index)}>
              {text}
            </button>
            <span className={fitted ? 'figures soft' : 'soft'}>
              {fitted
                ? `${formatLength(fitted.widthMm, settings)} × ${formatLength(fitted.heightMm, settings)}${answer.ok && fitted !== answer.value ? ', made smaller' : ''}`
                : !answer.ok && describeLetterProblem(answer.problem)}
            </span>
          </li>
        );
      })}
    </ol>
  );
}

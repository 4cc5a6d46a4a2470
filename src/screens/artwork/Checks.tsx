// What stands in the way of cutting, each with the one button that mends it.

import Button from '@mui/material/Button';
import { computeMendingWidth, type Finding, type LeftOut, type Licence, type StepAction } from '../../core/artwork';
import { describeFinding, describeLicenceCaution, describeRemedy } from '../../wording/findings';
import { describeLeftOut } from '../../wording/problems';
import { useSettings } from '../shared/settings';
import { Why } from '../shared/Why';
import { plural } from '../../wording/plural';

/** Sizes are set and drawings turned again and again; anything else done twice does nothing more. */
const isTaken = (remedy: StepAction, taken: readonly StepAction[]): boolean =>
  remedy.kind !== 'size' &&
  remedy.kind !== 'rotate' &&
  taken.some((step) =>
    Object.entries(remedy).every(([key, value]) => (step as Readonly<Record<string, unknown>>)[key] === value),
  );

type Props = {
  readonly checked: boolean;
  readonly findings: readonly Finding[];
  /** Of the drawing, mm. */
  readonly widthMm: number;
  readonly leftOut: readonly LeftOut[];
  readonly gradients: number;
  readonly sizeStated: boolean;
  readonly licence: Licence;
  readonly nameOf: (layer: string) => string;
  /** Steps that are on: a remedy among them is not offered again. */
  readonly taken: readonly StepAction[];
  readonly onTake: (step: StepAction) => void;
};

export function Checks({
  checked,
  findings,
  widthMm,
  leftOut,
  gradients,
  sizeStated,
  licence,
  nameOf,
  taken,
  onTake,
}: Props) {
  const caution = describeLicenceCaution(licence);
  return (
    <section className="sheet" aria-label="Checks">
      <h2 className="flat below-2">
        {!checked
          ? 'Not checked yet'
          : findings.length === 0
            ? 'Nothing stands in the way'
            : `${plural(findings.length, 'thing')} to mend`}
      </h2>
      <CheckList
        findings={findings}
        widthMm={widthMm}
        nameOf={nameOf}
        taken={taken}
        onTake={onTake}
        leftOut={leftOut}
        gradients={gradients}
        sizeStated={sizeStated}
        caution={caution}
      />
    </section>
  );
}

type CheckListProps = {
  readonly findings: readonly Finding[];
  readonly widthMm: number;
  readonly nameOf: (layer: string) => string;
  readonly taken: readonly StepAction[];
  readonly onTake: (step: StepAction) => void;
  readonly leftOut: readonly LeftOut[];
  readonly gradients: number;
  readonly sizeStated: boolean;
  readonly caution: string | null;
};

function CheckList({
  findings,
  widthMm,
  nameOf,
  taken,
  onTake,
  leftOut,
  gradients,
  sizeStated,
  caution,
}: CheckListProps) {
  return (
    <ul className="checks">
      {findings.map((finding, index) => (
        <FindingRow
          key={`${finding.kind}-${index}`}
          finding={finding}
          widthMm={widthMm}
          nameOf={nameOf}
          taken={taken}
          onTake={onTake}
        />
      ))}
      {leftOut
        .filter((entry) => entry.kind !== 'stroke')
        .map((entry) => {
          const words = describeLeftOut(entry);
          return (
            <li key={entry.kind}>
              <div>
                <strong>{words.what}</strong>
                <span>{words.remedy}</span>
              </div>
            </li>
          );
        })}
      {gradients > 0 && (
        <li>
          <div>
            <strong>{plural(gradients, 'fading fill')} taken as flat</strong>
            <span>Vinyl has one colour: the first of each was taken.</span>
          </div>
        </li>
      )}
      {!sizeStated && (
        <li>
          <div>
            <span>The file states no size in lengths, so it was opened at 200 mm: set the width you want.</span>
          </div>
        </li>
      )}
      {caution && (
        <li>
          <div>
            <span>{caution}</span>
          </div>
        </li>
      )}
    </ul>
  );
}

type FindingRowProps = Pick<Props, 'widthMm' | 'nameOf' | 'taken' | 'onTake'> & { readonly finding: Finding };

function FindingRow({ finding, widthMm, nameOf, taken, onTake }: FindingRowProps) {
  const settings = useSettings();
  const words = describeFinding(finding, nameOf, settings);
  const mending = computeMendingWidth(finding, widthMm);
  return (
    <li>
      <div>
        <strong>{words.what}</strong>
        <span>{words.detail}</span>
        {mending && finding.remedies.length > 0 && (
          <span className="soft block">
            {mending.label} <Why figure={mending} />
          </span>
        )}
      </div>
      <div className="actions">
        {finding.remedies
          .filter((remedy) => !isTaken(remedy, taken))
          .map((remedy) => (
            <Button key={JSON.stringify(remedy)} size="small" onClick={() => onTake(remedy)}>
              {describeRemedy(remedy, nameOf, settings)}
            </Button>
          ))}
      </div>
    </li>
  );
}

// What to take care of at the press.

import type { PressCaution } from '../../core/pressing';
import { describeCaution } from '../../wording/problems';
import { useSettings } from '../shared/settings';
import { Caution } from './Caution';

export function PressCautions({ cautions }: { readonly cautions: readonly PressCaution[] }) {
  const settings = useSettings();
  return cautions.map((caution) => (
    <Caution
      key={JSON.stringify(caution)}
      name={`press ${JSON.stringify(caution)}`}
      full={describeCaution(caution, settings)}
    />
  ));
}

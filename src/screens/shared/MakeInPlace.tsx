// A vinyl or a blank that is missing is made where it is asked for: the few fields that matter, the rest by its kind.

import { createContext, useContext, useMemo, useState, type ReactNode } from 'react';
import type { BlankView, VinylView } from '../../views/shelf';
import { addNew } from './add-new';
import { late } from './late';
import { LookFor } from './LookFor';
import type { Asked } from './MakerDrawer';

/** Opened by few: no page waits for it. */
const MakerDrawer = late(() => import('./MakerDrawer'));

/** Opens the drawer; `onMade` hears of what was made, once the list has it. */
type Maker = {
  readonly vinyl: (onMade: (vinyl: VinylView) => void) => void;
  readonly blank: (onMade: (blank: BlankView) => void) => void;
};
const MakerContext = createContext<Maker | null>(null);

/** Null where nothing can be made in place. */
export const useMaker = (): Maker | null => useContext(MakerContext);

type Props = {
  readonly children: ReactNode;
  /** Takes what was made into the lists of the page. */
  readonly onVinyl: (vinyl: VinylView) => void;
  readonly onBlank?: (blank: BlankView) => void;
};

export function MakeInPlace({ children, onVinyl, onBlank }: Props) {
  const [asked, setAsked] = useState<Asked | null>(null);
  const maker = useMemo<Maker>(
    () => ({
      vinyl: (onMade) => setAsked({ kind: 'vinyl', onMade }),
      blank: (onMade) => setAsked({ kind: 'blank', onMade }),
    }),
    [],
  );
  const close = () => setAsked(null);
  return (
    <MakerContext.Provider value={maker}>
      {children}
      {asked && <MakerDrawer asked={asked} onClose={close} onVinyl={onVinyl} {...(onBlank && { onBlank })} />}
    </MakerContext.Provider>
  );
}

type WithVinylsProps = {
  readonly initial: readonly VinylView[];
  /** Whether the shelf has others, which are looked for by name. */
  readonly more: boolean;
  readonly children: (vinyls: readonly VinylView[]) => ReactNode;
};

/** The vinyls of a page, with those that are made on it. */
export function WithVinyls({ initial, more, children }: WithVinylsProps) {
  const [vinyls, setVinyls] = useState(initial);
  const lookedFor = useMemo(() => ({ vinyl: more }), [more]);
  const add = (one: VinylView) => setVinyls((now) => addNew(now, [one]));
  return (
    <MakeInPlace onVinyl={add}>
      <LookFor more={lookedFor} onVinyl={add}>
        {children(vinyls)}
      </LookFor>
    </MakeInPlace>
  );
}

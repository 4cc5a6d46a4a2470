// Whose work it is at this computer, where several work in the shop; remembered here.

import { useEffect, useState } from 'react';
import type { PersonView } from '../../views/frame';

const KEY = 'chiral person';

/** Null while nobody was chosen, or who was chosen is gone. */
export function useWho(people: readonly PersonView[]) {
  const [id, setId] = useState<number | null>(null);
  useEffect(() => setId(Number(localStorage.getItem(KEY)) || null), []);
  const choose = (chosen: number | null) => {
    if (chosen === null) localStorage.removeItem(KEY);
    else localStorage.setItem(KEY, String(chosen));
    setId(chosen);
  };
  return { personId: people.find((person) => person.id === id)?.id ?? null, choose };
}

type Props = {
  readonly people: readonly PersonView[];
  readonly personId: number | null;
  readonly onChoose: (personId: number | null) => void;
};

/** Nothing where one works alone. */
export function WhoChoice({ people, personId, onChoose }: Props) {
  if (people.length < 2) return null;
  const choices = [...people, { id: null, name: 'not said' }];
  return (
    <div className="actions above-2" role="group" aria-label="Whose work it is">
      <span className="soft">whose work</span>
      {choices.map(({ id, name }) => (
        <button key={id ?? 'nobody'} className="quiet" aria-pressed={id === personId} onClick={() => onChoose(id)}>
          {name}
        </button>
      ))}
    </div>
  );
}

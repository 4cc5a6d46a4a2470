// Who works here: from two on, the bench asks whose work it is, and the log tells how quick each is.

import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState, type SyntheticEvent } from 'react';
import type { PersonView } from '../../views/frame';
import { callApi, wordsOf } from '../shared/api';
import { useSendOnce } from '../shared/use-send-once';
import { enqueueSnackbar } from '../shared/snackbar';

export function PeopleSection({ initial }: { readonly initial: readonly PersonView[] }) {
  const client = useQueryClient();
  const { data: people } = useQuery({
    queryKey: ['people'],
    queryFn: ({ signal }) => callApi<readonly PersonView[]>('GET', '/api/people', undefined, signal),
    initialData: initial,
  });
  const [name, setName] = useState('');
  const send = useSendOnce();
  const readAgain = () => void client.invalidateQueries({ queryKey: ['people'] });
  const add = async (who: string) => {
    try {
      await send('POST', '/api/people', { name: who });
      setName('');
    } catch (error) {
      enqueueSnackbar(wordsOf(error), { variant: 'error' });
    }
    readAgain();
  };
  const remove = async (person: PersonView) => {
    try {
      await callApi('DELETE', `/api/people/${person.id}`);
      enqueueSnackbar(`${person.name} is off the list. What was logged stays theirs.`, {
        action: (
          <Button color="inherit" variant="text" onClick={() => void add(person.name)}>
            Undo
          </Button>
        ),
      });
    } catch (error) {
      enqueueSnackbar(wordsOf(error), { variant: 'error' });
    }
    readAgain();
  };
  const submit = (event: SyntheticEvent) => {
    event.preventDefault();
    if (name.trim() !== '') void add(name.trim());
  };
  return (
    <section className="sheet above-4" aria-label="Who works here">
      <h2 className="flat">Who works here</h2>
      <p className="soft flat below-2">
        With two or more names the bench asks whose work it is. The log then tells how quick each is, whatever they work
        on, and estimates of weeding follow.
      </p>
      {people.length > 0 && (
        <ul className="bare flat pad-0 below-2">
          {people.map((person) => (
            <li key={person.id} className="actions">
              <strong>{person.name}</strong>
              <button
                className="quiet"
                aria-label={`Take ${person.name} off the list`}
                onClick={() => void remove(person)}
              >
                take off
              </button>
            </li>
          ))}
        </ul>
      )}
      <form className="actions" noValidate onSubmit={submit}>
        <TextField label="Name" value={name} onChange={({ target }) => setName(target.value)} />
        <Button type="submit" disabled={name.trim() === ''}>
          Add
        </Button>
      </form>
    </section>
  );
}

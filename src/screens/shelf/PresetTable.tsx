// Settings of the cutter that were kept under a name.

import Button from '@mui/material/Button';
import { formatInstant } from '../../core/units';
import type { PresetRow } from '../../views/recipes';
import { describeSetting } from '../../wording/cutting';
import { USE_WORDS } from '../../wording/recipes';
import { callApi, createByApi, wordsOf } from '../shared/api';
import { useSettings } from '../shared/settings';
import { Swatch } from '../shared/Swatch';
import { enqueueSnackbar } from '../shared/snackbar';

type Props = { readonly presets: readonly PresetRow[]; readonly onDone: () => void };

export function PresetTable({ presets, onDone }: Props) {
  const settings = useSettings();
  const putBack = async (removed: unknown) => {
    await createByApi('/api/cut-presets', removed, crypto.randomUUID());
    onDone();
  };
  const remove = async ({ id, name }: PresetRow) => {
    try {
      const removed = await callApi('DELETE', `/api/cut-presets/${id}`);
      enqueueSnackbar(`${name} is deleted.`, {
        action: () => (
          <Button color="inherit" size="small" onClick={() => void putBack(removed)}>
            Undo
          </Button>
        ),
      });
    } catch (error) {
      enqueueSnackbar(wordsOf(error), { variant: 'error' });
    }
    onDone();
  };
  return (
    <section className="sheet above-4" aria-label="Settings of the cutter">
      <h2 className="flat below-2">Settings of the cutter</h2>
      {presets.length === 0 ? (
        <p className="flat soft">When a test cut at the bench came out clean, its setting can be kept under a name.</p>
      ) : (
        <table className="plain">
          <thead>
            <tr>
              <th scope="col">Vinyl</th>
              <th scope="col">Kept as</th>
              <th scope="col">For</th>
              <th scope="col">Setting</th>
              <th scope="col">Kept on</th>
              <th scope="col">
                <span className="visually-hidden">Delete</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {presets.map((preset) => (
              <tr key={preset.id}>
                <th scope="row">
                  <Swatch colour={preset.colourHex} />
                  {preset.vinylName}
                </th>
                <td>{preset.name}</td>
                <td>{USE_WORDS[preset.use]}</td>
                <td>
                  {describeSetting(preset.setting)}
                  {preset.isWornPast && <div className="short">The blade has changed since.</div>}{' '}
                  <a href={`/trials?vinyl=${preset.vinylId}`}>look again</a>
                </td>
                <td>{formatInstant(preset.savedAtMs, settings)}</td>
                <td>
                  <Button
                    size="small"
                    variant="text"
                    onClick={() => void remove(preset)}
                    aria-label={`Delete ${preset.name}`}
                  >
                    Delete
                  </Button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}

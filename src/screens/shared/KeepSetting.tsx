// A setting that came out clean is kept under a name, for this vinyl and what it is good for.

import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { PRESET_USES, type PresetUse } from '../../core/cutting';
import { USE_WORDS } from '../../wording/recipes';
import { wordsOf } from './api';

type Props = {
  /** The name it is kept under, if nobody writes another. */
  readonly called: string;
  readonly use: PresetUse;
  readonly onKeep: (name: string, use: PresetUse) => Promise<unknown>;
};

export function KeepSetting({ called, use: suggested, onKeep }: Props) {
  const [use, setUse] = useState<PresetUse>(suggested);
  const [name, setName] = useState(called);
  const [said, setSaid] = useState<{ readonly words: string; readonly isBad: boolean } | null>(null);
  const keep = async () => {
    try {
      await onKeep(name, use);
      setSaid({ words: `Kept as “${name}”: loads of this vinyl begin with it.`, isBad: false });
    } catch (error) {
      setSaid({ words: wordsOf(error), isBad: true });
    }
  };
  return (
    <div className="above-3">
      <div className="actions">
        <TextField size="small" label="Keep it as" value={name} onChange={(event) => setName(event.target.value)} />
        <TextField
          size="small"
          select
          label="For"
          value={use}
          onChange={(event) => setUse(event.target.value as PresetUse)}
        >
          {PRESET_USES.map((one) => (
            <MenuItem key={one} value={one}>
              {USE_WORDS[one]}
            </MenuItem>
          ))}
        </TextField>
        <Button variant="outlined" disabled={name.trim() === ''} onClick={() => void keep()}>
          Keep this setting
        </Button>
      </div>
      {said && (
        <p role="status" className={said.isBad ? 'short flat above-1' : 'flat above-1'}>
          {said.words}
        </p>
      )}
    </div>
  );
}

// The piece: what it says, its size, colour and options.

import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useSettings } from '../shared/settings';
import { formatMoney } from '../../core/units';
import type { StallState } from './use-stall';

type Props = { readonly stall: StallState };

export function StallPiece({ stall }: Props) {
  const settings = useSettings();
  const { piece, item, texts, change, next } = stall;
  if (!piece || !item) return null;
  const toggle = (at: number) =>
    change({
      options: piece.options.includes(at) ? piece.options.filter((one) => one !== at) : [...piece.options, at],
    });
  return (
    <section className="sheet cols" aria-label="The piece">
      <div className="actions">
        <h1 className="flat grow">{item.name}</h1>
        <Button onClick={next}>Another item</Button>
      </div>
      {texts.map(({ label, sample }, at) => (
        <TextField
          key={label}
          label={label}
          placeholder={sample}
          value={piece.texts[label] ?? ''}
          autoFocus={at === 0}
          onChange={(event) => change({ texts: { ...piece.texts, [label]: event.target.value } })}
          slotProps={{ htmlInput: { spellCheck: false, autoComplete: 'off', className: 'stall-text' } }}
        />
      ))}
      {item.options.length > 0 && (
        <Choices
          label="With"
          names={item.options.map(
            ({ label, surcharge }) => `${label}${surcharge > 0 ? ` +${formatMoney(surcharge, settings)}` : ''}`,
          )}
          isChosen={(at) => piece.options.includes(at)}
          onChoose={toggle}
        />
      )}
      {item.sizes.length > 1 && (
        <Choices
          label="Size"
          names={item.sizes}
          isChosen={(at) => item.sizes[at] === piece.sizeName}
          onChoose={(at) => change({ sizeName: item.sizes[at]! })}
        />
      )}
      {item.colours.length > 1 && (
        <Choices
          label="Colour"
          names={item.colours}
          isChosen={(at) => item.colours[at] === piece.colourName}
          onChoose={(at) => change({ colourName: item.colours[at]! })}
        />
      )}
      <Pieces count={piece.quantity} onChange={(quantity) => change({ quantity })} />
      <TextField
        label="Name, if they give one"
        value={piece.customerName}
        onChange={(event) => change({ customerName: event.target.value })}
        slotProps={{ htmlInput: { autoComplete: 'off' } }}
      />
    </section>
  );
}

type ChoicesProps = {
  readonly label: string;
  readonly names: readonly string[];
  readonly isChosen: (at: number) => boolean;
  readonly onChoose: (at: number) => void;
};

function Choices({ label, names, isChosen, onChoose }: ChoicesProps) {
  return (
    <div role="group" aria-label={label}>
      <p className="soft flat below-1">{label}</p>
      <div className="stall-choices">
        {names.map((name, at) => (
          <button key={name} type="button" aria-pressed={isChosen(at)} onClick={() => onChoose(at)}>
            {name}
          </button>
        ))}
      </div>
    </div>
  );
}

const MOST_PIECES = 20;

function Pieces({ count, onChange }: { readonly count: number; readonly onChange: (count: number) => void }) {
  return (
    <div className="stall-choices" role="group" aria-label="Pieces">
      <button type="button" disabled={count <= 1} aria-label="One less" onClick={() => onChange(count - 1)}>
        −
      </button>
      <output className="figures stall-count">{count}</output>
      <button type="button" disabled={count >= MOST_PIECES} aria-label="One more" onClick={() => onChange(count + 1)}>
        +
      </button>
    </div>
  );
}

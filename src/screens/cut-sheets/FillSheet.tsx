// What else fits into what is left of a job: what waits and was not chosen, or what is made again and again.

import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useState } from 'react';
import type { UsualPiece, WaitingPart } from '../../views/cut-sheets';
import { plural } from '../../wording/plural';

type Props = {
  readonly waiting: readonly WaitingPart[];
  readonly usual: readonly UsualPiece[];
  readonly onParts: () => void;
  readonly onUsual: (piece: UsualPiece) => void;
};

export function FillSheet({ waiting, usual, onParts, onUsual }: Props) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  if (waiting.length + usual.length === 0) return null;
  const close = () => setAnchor(null);
  return (
    <>
      <Button aria-haspopup="menu" aria-expanded={anchor !== null} onClick={(event) => setAnchor(event.currentTarget)}>
        Fill what is left
      </Button>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={close}>
        {waiting.length > 0 && (
          <MenuItem
            onClick={() => {
              close();
              onParts();
            }}
          >
            with what else waits: {plural(waiting.length, 'part')}
          </MenuItem>
        )}
        {usual.map((piece) => (
          <MenuItem
            key={piece.key}
            onClick={() => {
              close();
              onUsual(piece);
            }}
          >
            with more of {piece.name}, for the shelf
          </MenuItem>
        ))}
      </Menu>
    </>
  );
}

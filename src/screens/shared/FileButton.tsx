// A button that asks for a file: the same file can be chosen again.

import Button, { type ButtonProps } from '@mui/material/Button';
import { useRef } from 'react';

type Props = Omit<ButtonProps, 'onClick'> & {
  /** Names the field for those who can't see it. */
  readonly label: string;
  readonly accept: string;
  readonly onFile: (file: File) => void;
};

export function FileButton({ label, accept, onFile, ...button }: Props) {
  const chooser = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button {...button} onClick={() => chooser.current?.click()} />
      <input
        ref={chooser}
        type="file"
        accept={accept}
        className="visually-hidden"
        tabIndex={-1}
        aria-label={label}
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          event.target.value = '';
          if (file) onFile(file);
        }}
      />
    </>
  );
}

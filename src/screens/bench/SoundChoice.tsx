// How loud a clock ends on this computer.

import { useEffect, useState } from 'react';
import { chime, keepVolume, readVolume, VOLUMES, type Volume } from '../shared/chime';

const CHOICES = Object.keys(VOLUMES) as readonly Volume[];

export function SoundChoice() {
  const [volume, setVolume] = useState<Volume>('soft');
  useEffect(() => setVolume(readVolume()), []);
  const choose = (chosen: Volume) => {
    keepVolume(chosen);
    setVolume(chosen);
    chime(chosen);
  };
  return (
    <div className="actions above-3" role="group" aria-label="Sound at the end of a clock">
      <span className="soft">sound</span>
      {CHOICES.map((choice) => (
        <button key={choice} className="quiet" aria-pressed={choice === volume} onClick={() => choose(choice)}>
          {choice}
        </button>
      ))}
    </div>
  );
}

// A sound when a clock at the bench has run out; how loud is this computer's own matter.

const VOLUME_KEY = 'chiral-volume';
export const VOLUMES = { off: 0, soft: 0.15, loud: 0.6 } as const;
export type Volume = keyof typeof VOLUMES;
const NOTES_HZ = [880, 1175, 880] as const;
const NOTE_S = 0.18;

export function readVolume(): Volume {
  const kept = localStorage.getItem(VOLUME_KEY);
  return kept !== null && kept in VOLUMES ? (kept as Volume) : 'soft';
}

export const keepVolume = (volume: Volume): void => localStorage.setItem(VOLUME_KEY, volume);

let context: AudioContext | null = null;

/** Browsers let a page sound only after somebody pressed something on it; before, it stays silent. */
export function chime(volume: Volume = readVolume()): void {
  if (VOLUMES[volume] === 0 || typeof AudioContext === 'undefined') return;
  context ??= new AudioContext();
  void context.resume();
  const { currentTime, destination } = context;
  NOTES_HZ.forEach((hz, at) => {
    const tone = new OscillatorNode(context!, { frequency: hz });
    const gain = new GainNode(context!, { gain: VOLUMES[volume] });
    tone.connect(gain).connect(destination);
    tone.start(currentTime + at * NOTE_S);
    tone.stop(currentTime + (at + 1) * NOTE_S);
  });
}

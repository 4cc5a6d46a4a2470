// A view whose work is still to come: what it will answer, and where that is found today.

import Button from '@mui/material/Button';
import type { FrameView } from '../../views/frame';
import { Frame } from '../shared/Frame';
import { asPage } from '../shared/page-data';

const LATER = {
  trials: {
    title: 'Trials',
    answers:
      'Trials will find the cutter setting in four or five test cuts, and say with its uncertainty which vinyl holds up.',
    now: 'Today each vinyl keeps its press window and its weeding factor on the shelf.',
    links: [
      ['/shelf', 'Look at the vinyls'],
      ['/bench/cut', 'Go to the cutter'],
    ],
  },
} as const;
export type LaterName = keyof typeof LATER;

export const LaterScreen = asPage(function LaterScreen({ frame, name }: { frame: FrameView; name: LaterName }) {
  const { title, answers, now, links } = LATER[name];
  return (
    <Frame frame={frame} current={name}>
      <h1 className="flat">{title}</h1>
      <div className="sheet lifted reading-width">
        <p className="text-large above-0">{answers}</p>
        <p className="soft">{now}</p>
        <div className="actions">
          {links.map(([href, label], index) => (
            <Button key={href} href={href} variant={index === 0 ? 'contained' : 'outlined'}>
              {label}
            </Button>
          ))}
        </div>
      </div>
    </Frame>
  );
});

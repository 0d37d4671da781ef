import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useState } from 'react';
import type { Mishap } from '../../server/dto/spread.dto';
import { later } from '../later';
import type { AtBench } from './use-bench';
import { stickersOf } from './use-bench';

const OffDialog = later(() => import('./OffDialog').then((m) => m.OffDialog));

const MISHAPS: readonly (readonly [Exclude<Mishap, 'off' | 'kept'>, string])[] = [
  ['spoiled', 'Spoiled it'],
  ['torn', 'It tore'],
  ['missing', 'It is not on its sheet'],
  ['out', 'None of these is left'],
  ['other', 'Changed my mind: another one there'],
];

/** What to do when it goes wrong: what is stuck stays, the rest is repaired, and the list renews itself. */
export function WrongMenu({ at }: { at: AtBench }) {
  const { step, busy, mishap, plan, setPlan } = at;
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const [off, setOff] = useState(false);
  const sticker = step && stickersOf(step).length > 0;
  const laid = sticker && step.do !== 'cut';
  const tape = step?.do === 'white-out' && !plan.tapeOut;
  if (!sticker && !tape && !plan.tapeOut) return null;
  const close = () => setAnchor(null);
  return (
    <>
      <Button id="wrong" aria-haspopup="menu" disabled={busy} onClick={(e) => setAnchor(e.currentTarget)}>
        {busy ? 'Mending…' : 'Went wrong'}
      </Button>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={close}>
        {sticker &&
          MISHAPS.map(([what, label]) => (
            <MenuItem
              key={what}
              onClick={() => {
                close();
                void mishap(what);
              }}
            >
              {label}
            </MenuItem>
          ))}
        {laid && (
          <MenuItem
            onClick={() => {
              close();
              setOff(true);
            }}
          >
            It is stuck a little off…
          </MenuItem>
        )}
        {tape && (
          <MenuItem
            onClick={() => {
              close();
              void setPlan(
                { ...plan, tapeOut: true },
                'Out of tape: steps that need none come first now, and Supplies shows none left.',
              );
            }}
          >
            The tape ran out
          </MenuItem>
        )}
        {plan.tapeOut && (
          <MenuItem
            onClick={() => {
              close();
              void setPlan({ ...plan, tapeOut: false });
            }}
          >
            There is tape again
          </MenuItem>
        )}
      </Menu>
      {off && <OffDialog at={at} onClose={() => setOff(false)} />}
    </>
  );
}

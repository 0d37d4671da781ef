'use client';

import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import { IconArrowBackUp, IconArrowForwardUp } from './icons';
import { useHotkeys } from 'react-hotkeys-hook';
import { Hint } from './Hint';

export interface UndoRedoProps {
  /** what undo would take back, in words; null: nothing */
  readonly undo: string | null;
  readonly redo: string | null;
  readonly onStep: (way: 'undo' | 'redo') => void;
  readonly busy?: boolean;
}

const WAYS = [
  { way: 'undo', name: 'Undo', keys: 'mod+z', nothing: 'Nothing to undo', Icon: IconArrowBackUp },
  { way: 'redo', name: 'Redo', keys: 'mod+y, mod+shift+z', nothing: 'Nothing to redo', Icon: IconArrowForwardUp },
] as const;

/** The two buttons and the keys of undo, the same on every screen that keeps a history. */
export function UndoRedo({ undo, redo, onStep, busy = false }: UndoRedoProps) {
  const said = { undo, redo };
  const step = (way: 'undo' | 'redo', e?: KeyboardEvent) => {
    e?.preventDefault();
    if (said[way] !== null && !busy) onStep(way);
  };
  useHotkeys(WAYS[0].keys, (e) => step('undo', e), [undo, busy, onStep]);
  useHotkeys(WAYS[1].keys, (e) => step('redo', e), [redo, busy, onStep]);
  return (
    <Box sx={{ display: 'flex' }}>
      {WAYS.map(({ way, name, nothing, Icon }) => (
        <Hint key={way} title={said[way] === null ? nothing : `${name}: ${said[way]}`}>
          <span>
            <IconButton
              color="inherit"
              aria-label={name}
              disabled={said[way] === null || busy}
              onClick={() => step(way)}
            >
              <Icon size={20} />
            </IconButton>
          </span>
        </Hint>
      ))}
    </Box>
  );
}

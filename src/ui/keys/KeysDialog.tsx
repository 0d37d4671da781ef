'use client';

import { keysOf } from './keys';
import { FormDialog } from '../screen/FormDialog';
import { Pairs } from '../screen/Pairs';

/** What the keyboard does on a screen. */
export function KeysDialog({ address, onClose }: { address: string; onClose: () => void }) {
  return (
    <FormDialog plain title="The keys" onClose={onClose}>
      <Pairs of={keysOf(address)} />
    </FormDialog>
  );
}

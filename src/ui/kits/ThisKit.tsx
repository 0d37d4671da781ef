'use client';

import Button from '@mui/material/Button';
import Divider from '@mui/material/Divider';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import Typography from '@mui/material/Typography';
import { IconChevronDown } from '../icons';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { imageOf } from '../../core/format/image-of';
import type { KitFacts } from '../../core/kit/suggest';
import type { PieceStock } from '../../core/kit/stock';
import { saveFacts } from '../../server/kit-actions';
import { addAnotherCopy, removeKit } from '../../server/kit-corrections';
import { useKitName } from '../kit-names';
import type { Run } from '../use-run';
import { CorrectKitDialog } from './CorrectKitDialog';
import { GiveAwayDialog } from './GiveAwayDialog';
import { SplitDialog } from './SplitDialog';
import { WashiDialog } from './WashiDialog';
import { FormDialog } from '../screen/FormDialog';

type Open = 'correct' | 'give' | 'split' | 'washi' | 'remove';

/** What can be done to the kit that lies on the table. */
export function ThisKit({
  name,
  facts,
  stock,
  stashes,
  run,
  busy,
  messages,
  clear,
}: {
  name: string;
  facts: KitFacts;
  stock: readonly PieceStock[];
  /** names of the stashes there are */
  stashes: readonly string[];
  run: Run;
  busy: boolean;
  messages: readonly string[];
  /** forgets the messages */
  clear: () => void;
}) {
  const called = useKitName();
  const router = useRouter();
  const [at, setAt] = useState<HTMLElement | null>(null);
  const [open, setOpen] = useState<Open | null>(null);
  const pick = (what: Open) => () => {
    setAt(null);
    clear();
    setOpen(what);
  };
  const close = () => setOpen(null);
  const anotherCopy = async () => {
    setAt(null);
    let made = '';
    const done = await run(async () => {
      const answer = await addAnotherCopy({ kit: name });
      if (answer.ok) made = answer.value.name;
      return answer;
    });
    if (done) router.push(`/kits?kit=${encodeURIComponent(made)}`);
  };
  const retire = () => {
    setAt(null);
    const sent = { kit: name, facts: { ...facts, retired: !facts.retired } };
    void run(
      () => saveFacts({ ...sent, seen: imageOf(facts) }),
      () => saveFacts(sent),
    );
  };
  const remove = async () => {
    if (await run(() => removeKit({ kit: name }))) router.push('/kits');
    close();
  };
  return (
    <>
      <Button
        size="small"
        endIcon={<IconChevronDown size={16} />}
        aria-haspopup="menu"
        aria-expanded={at ? 'true' : undefined}
        onClick={(e) => setAt(e.currentTarget)}
      >
        This kit
      </Button>
      <Menu open={at !== null} anchorEl={at} onClose={() => setAt(null)}>
        <MenuItem onClick={pick('correct')}>Correct its list…</MenuItem>
        <MenuItem component="a" href={`/kits/${encodeURIComponent(name)}/card?as=png`} download="kit.png">
          Share its card
        </MenuItem>
        <MenuItem onClick={pick('give')}>Give it away…</MenuItem>
        <MenuItem onClick={pick('washi')}>Add washi by its length…</MenuItem>
        <MenuItem onClick={pick('split')}>Split off to a stash…</MenuItem>
        <MenuItem onClick={() => void anotherCopy()}>Add another copy of it</MenuItem>
        <Divider />
        <MenuItem onClick={retire}>{facts.retired ? 'Take it up again' : 'Retire it'}</MenuItem>
        <MenuItem onClick={pick('remove')}>Remove it…</MenuItem>
      </Menu>
      {open === 'correct' && <CorrectKitDialog name={name} run={run} busy={busy} messages={messages} onClose={close} />}
      {open === 'give' && <GiveAwayDialog name={name} onClose={close} />}
      {open === 'washi' && <WashiDialog name={name} run={run} busy={busy} messages={messages} onClose={close} />}
      {open === 'split' && (
        <SplitDialog
          name={name}
          stock={stock}
          stashes={stashes}
          run={run}
          busy={busy}
          messages={messages}
          onClose={close}
        />
      )}
      {open === 'remove' && (
        <FormDialog
          plain
          title={<>Remove {called(name)}?</>}
          size="xs"
          onClose={close}
          act={{ label: 'Remove', removes: true, disabled: busy, run: () => void remove() }}
        >
          <Typography>
            Its list, its counts and its card go; undo brings them back. A kit that a week is laid out with stays:
            retire it, and it is offered for no week.
          </Typography>
        </FormDialog>
      )}
    </>
  );
}

'use client';

import Typography from '@mui/material/Typography';
import dynamic from 'next/dynamic';
import { useEffect, useMemo, useState } from 'react';
import { readKit, writeKit } from '../../core/format/kit-csv';
import { correctionOf, isNoChange } from '../../core/kit/correction';
import type { Kit } from '../../core/kit/kit';
import { correctKit, readLines } from '../../server/kit-corrections';
import { useKitName } from '../kit-names';
import type { Run } from '../use-run';
import { Waiting } from '../Waiting';
import { faultsOf } from './faults-of';
import { FormDialog } from '../screen/FormDialog';

const LineTable = dynamic(() => import('./LineTable'), { loading: () => <Waiting /> });

/** The list of a kit that is stored, corrected as a whole and stored as one edit. */
export function CorrectKitDialog({
  name,
  code = null,
  run,
  busy,
  messages,
  onClose,
}: {
  name: string;
  /** the line to begin with */
  code?: string | null;
  run: Run;
  busy: boolean;
  /** what the server said against it */
  messages: readonly string[];
  onClose: () => void;
}) {
  const called = useKitName();
  const [stored, setStored] = useState<{ readonly kit: Kit; readonly seen: string } | null>(null);
  const [pieces, setPieces] = useState<Kit['pieces']>([]);
  const [faults, setFaults] = useState<readonly string[]>([]);
  useEffect(() => {
    let current = true;
    void readLines({ kit: name })
      .catch((e: unknown) => ({ ok: false as const, messages: [`The server could not be reached: ${String(e)}.`] }))
      .then((r) => {
        if (!current) return;
        if (!r.ok) return setFaults(r.messages);
        setStored(r.value);
        setPieces(r.value.kit.pieces);
      });
    return () => {
      current = false;
    };
  }, [name]);
  const csv = useMemo(() => writeKit({ name, pieces }), [name, pieces]);
  const wrong = useMemo(
    () => (stored && pieces.length ? faultsOf(() => readKit(csv, `${name}.kit.csv`, name)) : []),
    [stored, pieces, csv, name],
  );
  const correction = stored && correctionOf(stored.kit, { name, pieces });
  const save = async () => {
    if (!stored) return;
    const pictures = pieces.flatMap((p) => (p.picture ? [{ code: p.code, picture: p.picture }] : []));
    const sent = { kit: name, csv, pictures };
    if (
      await run(
        () => correctKit({ ...sent, seen: stored.seen }),
        () => correctKit(sent),
      )
    )
      onClose();
  };
  const said = correction && [
    ...(correction.added.length ? [`${correction.added.length} added`] : []),
    ...(correction.changed.length ? [`${correction.changed.length} changed`] : []),
    ...(correction.removed.length ? [`${correction.removed.length} removed`] : []),
  ];
  return (
    <FormDialog
      title={<>Correct {called(name)}</>}
      size="xl"
      held={busy}
      unsaved={!!correction && !isNoChange(correction)}
      onClose={onClose}
      messages={[...faults, ...messages, ...wrong]}
      aside={
        <Typography color="text.secondary" aria-live="polite">
          {said?.length ? said.join(', ') : 'Nothing changed yet'}
        </Typography>
      }
      act={{
        label: 'Save the list',
        disabled: busy || !correction || isNoChange(correction) || wrong.length > 0 || pieces.length === 0,
        run: () => void save(),
      }}
    >
      <Typography color="text.secondary">
        A line is a design with its copies as bought. Double-click a cell, or paste from a spreadsheet. What a week has
        already keeps its kind, outline, size and rows.
      </Typography>
      {stored ? (
        <LineTable
          kit={name}
          pieces={pieces}
          onChange={setPieces}
          height="min(52vh, 560px)"
          begin={Math.max(
            0,
            pieces.findIndex((p) => p.code === code),
          )}
        />
      ) : (
        faults.length === 0 && <Waiting />
      )}

      {stored && pieces.length === 0 && (
        <Typography color="error">A kit has at least one line. To be rid of it, remove the kit.</Typography>
      )}
    </FormDialog>
  );
}

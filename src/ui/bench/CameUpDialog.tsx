import Alert from '@mui/material/Alert';
import { useState } from 'react';
import type { TypingHabits } from '../../core/week/typed/habits';
import { moveItems } from '../../server/agenda-actions';
import { cameUp, findPlace } from '../../server/week-actions';
import { useRun } from '../use-run';
import type { CameUpNow } from '../week/CameUp';
import { CameUp, Found } from '../week/CameUp';
import { Messages } from '../screen/Messages';
import { FormDialog } from '../screen/FormDialog';

/** What came up while one works at the table: it finds its place round what is stuck, and the list has it at once. */
export function CameUpDialog({
  spreadId,
  from,
  typing,
  onClose,
}: {
  spreadId: number;
  from: string;
  typing: TypingHabits;
  onClose: () => void;
}) {
  const { run, ask, messages } = useRun();
  const [came, setCame] = useState<CameUpNow | null>(null);
  const [elsewhere, setElsewhere] = useState(false);
  return (
    <FormDialog title="Something came up" onClose={onClose}>
      <Messages of={messages} />
      <div style={{ paddingTop: 8 }}>
        <CameUp
          from={from}
          typing={typing}
          onAdd={async (entry) => {
            setCame(null);
            const kept = await ask(() => cameUp({ spreadId, entry }));
            if (!kept) return false;
            const { uid, found } = kept.value;
            setElsewhere(!found);
            setCame(found && { demand: { uid, on: entry.day, title: entry.title }, found });
            return true;
          }}
        />
      </div>
      {elsewhere && <Alert severity="info">It is of another week, and is in the agenda now.</Alert>}
      {came && (
        <Found
          title={came.demand.title}
          found={came.found}
          spreadId={null}
          onClose={() => setCame(null)}
          onMove={(to) => {
            const { demand } = came;
            setCame(null);
            void run(() => moveItems({ items: [{ uid: demand.uid, on: demand.on }], to })).then(async (moved) => {
              if (!moved) return;
              const found = await ask(() => findPlace({ spreadId, uid: demand.uid, on: to }));
              if (found) setCame({ demand: { ...demand, on: to }, found: found.value });
            });
          }}
        />
      )}
    </FormDialog>
  );
}

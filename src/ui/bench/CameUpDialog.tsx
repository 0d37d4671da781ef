import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useState } from 'react';
import type { TypingHabits } from '../../core/week/typed/habits';
import { moveItems } from '../../server/agenda-actions';
import { cameUp, findPlace } from '../../server/week-actions';
import { useRun } from '../use-run';
import type { CameUpNow } from '../week/CameUp';
import { CameUp, Found } from '../week/CameUp';

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
  const { run, busy, messages } = useRun();
  const [came, setCame] = useState<CameUpNow | null>(null);
  const [elsewhere, setElsewhere] = useState(false);
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="came-up-title">
      <DialogTitle id="came-up-title">Something came up</DialogTitle>
      <DialogContent sx={{ display: 'flex', flexDirection: 'column', gap: 1.5 }}>
        {messages.map((m) => (
          <Alert key={m} severity="error">
            {m}
          </Alert>
        ))}
        <div style={{ paddingTop: 8 }}>
          <CameUp
            from={from}
            typing={typing}
            busy={busy}
            onAdd={async (entry) => {
              setCame(null);
              let now: CameUpNow | null = null;
              const kept = await run(
                cameUp({ spreadId, entry }).then((answer) => {
                  if (answer.ok && answer.value.found)
                    now = {
                      demand: { uid: answer.value.uid, on: entry.day, title: entry.title },
                      found: answer.value.found,
                    };
                  return answer;
                }),
              );
              setElsewhere(kept && !now);
              setCame(now);
              return kept;
            }}
          />
        </div>
        {elsewhere && <Alert severity="info">It is of another week, and stands in the agenda now.</Alert>}
        {came && (
          <Found
            title={came.demand.title}
            found={came.found}
            spreadId={null}
            onClose={() => setCame(null)}
            onMove={(to) => {
              const { demand } = came;
              setCame(null);
              void run(moveItems({ items: [{ uid: demand.uid, on: demand.on }], to })).then(async (moved) => {
                if (!moved) return;
                const answer = await findPlace({ spreadId, uid: demand.uid, on: to }).catch(() => null);
                if (answer?.ok) setCame({ demand: { ...demand, on: to }, found: answer.value });
              });
            }}
          />
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}
